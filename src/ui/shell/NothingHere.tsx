"use client";
import Link from "next/link";
import { TroubleBox } from "./TroubleBox";

/** The same for what does not exist and for what may not be seen. */
export const NothingHere = () => (
  <TroubleBox>
    <h1>There is nothing here</h1>
    <p>It may have been taken away, or it is not yours to see.</p>
    <div>
      <Link href="/">Go to the dashboards</Link>
    </div>
  </TroubleBox>
);

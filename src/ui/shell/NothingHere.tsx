"use client";
import { TroubleBox } from "./TroubleBox";

/** The same for what does not exist and for what may not be seen. */
export const NothingHere = () => (
  <TroubleBox>
    <h1>There is nothing here</h1>
    <p>It may have been taken away, or it is not yours to see.</p>
    <div>
      {/* eslint-disable-next-line @next/next/no-html-link-for-pages -- no router is needed to leave */}
      <a href="/">Go to the dashboards</a>
    </div>
  </TroubleBox>
);

"use client";
import Link from "next/link";
import { useEffect, useState } from "react";
import styled from "styled-components";
import { Button } from "../kit";

const Box = styled.main`
  min-height: 100vh;
  display: grid;
  place-content: center;
  gap: 16px;
  padding: 32px;
  max-width: 60ch;
  margin: 0 auto;
  h1 {
    font: 560 38px/42px var(--serif);
    letter-spacing: -0.02em;
  }
  p {
    font: 400 19px/27px var(--serif);
    color: var(--ink-2);
  }
`;

/** Shown while a page cannot be answered; looks every two seconds whether it can again, and comes back by itself. */
export function Trouble({ onBack }: { onBack: () => void }) {
  const [reached, setReached] = useState<boolean | null>(null);
  useEffect(() => {
    const timer = setInterval(async () => {
      const reply = await fetch("/health", { cache: "no-store" }).catch(() => null);
      setReached(Boolean(reply?.ok));
      if (reply?.ok) location.reload();
    }, 2000);
    return () => clearInterval(timer);
  }, []);
  return (
    <Box>
      <h1>{reached === null ? "One moment" : "The records cannot be reached"}</h1>
      <p role="status">
        Nothing is lost. This page looks again every two seconds and comes back by itself.
      </p>
      <div>
        <Button $look="line" onPress={onBack}>
          Look now
        </Button>
      </div>
    </Box>
  );
}

/** The same for what does not exist and for what may not be seen. */
export const NothingHere = () => (
  <Box>
    <h1>There is nothing here</h1>
    <p>It may have been taken away, or it is not yours to see.</p>
    <div>
      <Link href="/">Go to the dashboards</Link>
    </div>
  </Box>
);

"use client";
import { later } from "@/ui/kit";
import { LaterTrouble } from "@/ui/shell";

const Look = later(() => import("@/ui/tokens"), "Look");

/** When not even the frame of the pages can be drawn. */
export default function GlobalError({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en" data-theme="day">
      <body>
        <Look />
        <LaterTrouble error={error} onBack={reset} />
      </body>
    </html>
  );
}

"use client";
import { LaterTrouble } from "@/ui/shell";
import { GlobalStyle } from "@/ui/tokens";

/** When not even the frame of the pages can be drawn. */
export default function GlobalError({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en" data-theme="day">
      <body>
        <GlobalStyle />
        <LaterTrouble error={error} onBack={reset} />
      </body>
    </html>
  );
}

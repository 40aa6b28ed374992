"use client";
import { LaterTrouble } from "@/ui/shell";

export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  return <LaterTrouble error={error} onBack={reset} />;
}

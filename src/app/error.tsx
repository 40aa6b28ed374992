"use client";
import { Trouble } from "@/ui/shell";

export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  return <Trouble error={error} onBack={reset} />;
}

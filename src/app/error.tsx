"use client";
import { Trouble } from "@/ui/shell";

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return <Trouble onBack={reset} />;
}

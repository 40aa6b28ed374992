"use client";
import { useEffect, useState } from "react";
import { Button } from "../kit";
import Link from "next/link";
import { TroubleBox } from "./TroubleBox";

const LOOKS_EVERY_MS = 2000;

const isHealthy = async (): Promise<boolean> =>
  (await fetch("/health", { cache: "no-store" }).catch(() => null))?.ok ?? false;

/** Whether the server answers: null until it is known; looked at again as long as it does not. */
function useHealth(): boolean | null {
  const [healthy, setHealthy] = useState<boolean | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isOver = false;
    const look = async () => {
      const found = await isHealthy();
      if (isOver) return;
      setHealthy(found);
      if (!found) timer = setTimeout(look, LOOKS_EVERY_MS);
    };
    void look();
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, []);
  return healthy;
}

/**
 * Shown where a page failed. While the server cannot be reached it looks every two seconds, and comes back by itself. Where
 * the server is well the fault is in the screen: it says so once, keeps still, and shows ways on.
 */
export function Trouble({ error, onBack }: { error: Error; onBack: () => void }) {
  const healthy = useHealth();
  const [wasDown, setWasDown] = useState(false);
  useEffect(() => {
    if (healthy === false) setWasDown(true);
    if (healthy && wasDown) location.reload();
  }, [healthy, wasDown]);
  if (healthy && !wasDown) return <Fault error={error} onBack={onBack} />;
  return (
    <TroubleBox>
      <h1>{healthy === null ? "One moment" : "The records cannot be reached"}</h1>
      <p role="status">
        Nothing is lost. This page looks again every two seconds and comes back by itself.
      </p>
      <div className="ways">
        <Button $look="line" onPress={onBack}>
          Look now
        </Button>
      </div>
    </TroubleBox>
  );
}

/** A fault of ours in drawing a page. What was being made is kept as a draft, as it always is. */
function Fault({ error, onBack }: { error: Error & { digest?: string }; onBack: () => void }) {
  return (
    <TroubleBox role="alert">
      <h1>This page could not be drawn</h1>
      <p>
        The fault is ours, and the server is well. What you were making is kept as you typed it;
        drawing the page again often helps.
      </p>
      <code>{error.digest ?? error.message}</code>
      <div className="ways">
        <Button $look="solid" onPress={onBack}>
          Draw it again
        </Button>
        <Button $look="line" onPress={() => location.reload()}>
          Load the page anew
        </Button>
        <Link href="/">Go to the dashboards</Link>
      </div>
    </TroubleBox>
  );
}

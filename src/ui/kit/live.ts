"use client";
import { useEffect, useRef } from "react";

/** Calls when records change that the viewer may see; not while the page is hidden, but once when it is seen again. */
export function useLive(onChange: () => void): void {
  const latest = useRef(onChange);
  useEffect(() => {
    latest.current = onChange;
  }, [onChange]);
  useEffect(() => {
    let [missed, wasOpen] = [false, false];
    const told = () => {
      if (document.visibilityState === "visible") latest.current();
      else missed = true;
    };
    const seen = () => {
      if (document.visibilityState !== "visible" || !missed) return;
      missed = false;
      latest.current();
    };
    const source = new EventSource("/api/live");
    source.addEventListener("records", told);
    // After a loss something may have been missed.
    source.addEventListener("open", () => {
      if (wasOpen) told();
      wasOpen = true;
    });
    document.addEventListener("visibilitychange", seen);
    return () => {
      source.close();
      document.removeEventListener("visibilitychange", seen);
    };
  }, []);
}

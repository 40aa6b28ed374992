"use client";
import { useEffect, useRef } from "react";

/**
 * Calls when records change that the viewer may see. A page that is hidden listens to nothing, for a browser has few connections
 * to one address; when it is seen again it is told once, for something may have been missed.
 */
export function useLive(onChange: () => void): void {
  const latest = useRef(onChange);
  useEffect(() => {
    latest.current = onChange;
  }, [onChange]);
  useEffect(() => {
    let source: EventSource | null = null;
    let wasOpen = false;
    const told = () => latest.current();
    const listen = () => {
      source = new EventSource("/api/live");
      source.addEventListener("records", told);
      source.addEventListener("open", () => {
        if (wasOpen) told();
        wasOpen = true;
      });
    };
    const close = () => {
      source?.close();
      source = null;
    };
    const turned = () => {
      if (document.visibilityState === "hidden") close();
      else if (!source) listen();
    };
    turned();
    document.addEventListener("visibilitychange", turned);
    return () => {
      close();
      document.removeEventListener("visibilitychange", turned);
    };
  }, []);
}

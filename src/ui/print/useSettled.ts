"use client";
import { useEffect, useState, type RefObject } from "react";

/** Frames without any change after which a page has settled. */
const QUIET_FRAMES = 4;

/**
 * Whether all of a page is drawn: its fonts are there, no part is still coming, and nothing in it changed for some frames.
 * Charts measure their room first and draw in the frames after it.
 */
export function useSettled(page: RefObject<HTMLElement | null>): boolean {
  const [isSettled, setSettled] = useState(false);
  useEffect(() => {
    if (!page.current) return;
    const root = page.current;
    let quiet = 0;
    let frame = 0;
    const observer = new MutationObserver(() => (quiet = 0));
    observer.observe(root, { subtree: true, childList: true, attributes: true });
    const count = () => {
      quiet = root.querySelector("[data-pending]") ? 0 : quiet + 1;
      if (quiet >= QUIET_FRAMES) {
        observer.disconnect();
        return setSettled(true);
      }
      frame = requestAnimationFrame(count);
    };
    void document.fonts.ready.then(() => (frame = requestAnimationFrame(count)));
    return () => {
      observer.disconnect();
      cancelAnimationFrame(frame);
    };
  }, [page]);
  return isSettled;
}

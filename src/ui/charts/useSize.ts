"use client";
import { useCallback, useRef, useState } from "react";

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The inner size of an element in px, as it is now; `usual` until it is known. */
export function useSize(usual: Size): [(element: HTMLElement | null) => void, Size] {
  const [size, setSize] = useState(usual);
  const watched = useRef<ResizeObserver | null>(null);
  const watch = useCallback((element: HTMLElement | null) => {
    watched.current?.disconnect();
    watched.current = null;
    if (!element) return;
    watched.current = new ResizeObserver(([{ contentRect }]) => {
      const [width, height] = [Math.floor(contentRect.width), Math.floor(contentRect.height)];
      if (width > 0 && height > 0)
        setSize((now) => (now.width === width && now.height === height ? now : { width, height }));
    });
    watched.current.observe(element);
  }, []);
  return [watch, size];
}

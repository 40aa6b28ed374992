"use client";
import type { ReactElement } from "react";
import { ResponsiveContainer } from "recharts";

/**
 * A drawing that fills its place, which is positioned. Where a page scrolls, the height of a place comes from what is in it:
 * a share of such a height would be none at all.
 */
export const Fitted = ({
  usual = { width: 600, height: 300 },
  children,
}: {
  /** The size that is drawn before the place is measured, in px. */
  usual?: { readonly width: number; readonly height: number };
  children: ReactElement;
}) => (
  <div style={{ position: "absolute", inset: 0 }}>
    <ResponsiveContainer width="100%" height="100%" initialDimension={usual}>
      {children}
    </ResponsiveContainer>
  </div>
);

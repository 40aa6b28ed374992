"use client";
import styled from "styled-components";
import type { Color } from "@/core/figure";
import { ground, inkOn, meaningOf } from "./drawing";

const Square = styled.i`
  display: inline-grid;
  place-content: center;
  width: 13px;
  height: 13px;
  flex: none;
  font: 700 12px/12px var(--sans);
  font-style: normal;
`;

/** A colour as it stands beside a name: with its texture where it has one, and the sign of what it means. */
export const Swatch = ({ color }: { color: Color }) => (
  <Square style={{ background: ground(color), color: inkOn(color) }} aria-hidden>
    {meaningOf(color)?.sign}
  </Square>
);

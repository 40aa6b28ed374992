"use client";
import styled from "styled-components";
import { comparedWords, toldIn, type Figure } from "@/core/figure";
import { fill, opens, ticksTo, type Drawn } from "./drawing";
import { colorOf, targetSaid, zoneAt } from "./range";

const Box = styled.div<{ $small?: boolean }>`
  display: grid;
  grid-template-columns: ${(p) => (p.$small ? "clamp(64px, 28%, var(--staff, 130px))" : "minmax(96px, 150px)")} minmax(
      0,
      1fr
    );
  gap: ${(p) => (p.$small ? 14 : 34)}px;
  flex: 1;
  min-height: ${(p) => (p.$small ? 96 : 260)}px;
  align-items: center;
  svg {
    height: 100%;
    min-height: inherit;
    width: 100%;
    overflow: visible;
  }
  .n {
    font: 540 ${(p) => (p.$small ? "46px" : "clamp(44px, 14vw, 84px)")} / 1 var(--serif);
    white-space: nowrap;
    letter-spacing: -0.03em;
    font-variant-numeric: lining-nums;
  }
  .facts {
    display: grid;
    gap: ${(p) => (p.$small ? 2 : 8)}px;
    align-content: center;
    min-width: 0;
  }
  .zones {
    display: flex;
    gap: 12px;
    flex-wrap: wrap;
    color: var(--ink-3);
  }
  .zones b {
    color: var(--ink);
    font-weight: 650;
    box-shadow: 0 2.5px 0 var(--ink);
  }
  p {
    color: var(--ink-2);
  }
`;

/** A tide staff: water up to the value, a brass pointer at the target. A value outside the range fills it to its end and is written in full. */
export function Gauge({ figure, drawn, words }: { figure: Figure; drawn: Drawn; words: string }) {
  const { dress } = drawn;
  const { total } = figure;
  const value = total.value ?? 0;
  const isRatio = figure.isRatio === true;
  const low = dress.low ?? Math.min(0, value);
  const ticks = ticksTo(Math.max(value * 1.25, dress.target ?? 0, low + 1));
  const high = dress.high ?? (isRatio && value <= 1 ? 1 : ticks[ticks.length - 1]);
  const at = (n: number) =>
    196 - 188 * Math.min(1, Math.max(0, (n - low) / Math.max(high - low, 1e-9)));
  const share = high > low ? Math.round((100 * (value - low)) / (high - low)) : null;
  const zone = zoneAt(dress.zones, value);
  const level = at(value);
  const wave = `M36 ${level} ${Array.from({ length: 8 }, (_, i) => `q5 ${i % 2 ? 4 : -4} 10 0`).join(" ")} V200 H36 Z`;
  const told = toldIn(figure, dress);
  return (
    <Box $small={drawn.small}>
      <svg
        viewBox="0 0 120 208"
        preserveAspectRatio="xMidYMid meet"
        role="img"
        aria-label={`${total.words} in a range from ${told(low)} to ${told(high)}${dress.target === undefined ? "" : `, target ${told(dress.target)}`}`}
      >
        <rect x="36" y="4" width="34" height="196" fill="var(--salt)" />
        {Array.from({ length: 10 }, (_, i) => {
          const y = 8 + i * 18.8;
          const isUnder = y > level;
          return (
            <path
              key={i}
              d={
                i % 2
                  ? `M54 ${y} h16 v15 h-16 v-4 h9 v-3 h-9 v-4 h9 v-2 h-9 Z`
                  : `M36 ${y} h16 v15 h-16 v-4 h9 v-3 h-9 v-4 h9 v-2 h-9 Z`
              }
              fill={isUnder ? "none" : "var(--ink)"}
              stroke="var(--ink)"
              strokeWidth={isUnder ? 1.3 : 0}
            />
          );
        })}
        {total.value !== null && value > low && (
          <path d={wave} fill="var(--water)" fillOpacity={0.82} />
        )}
        <rect
          x="36"
          y="4"
          width="34"
          height="196"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        {dress.zones.map((one, i) => {
          const [from, to] = [dress.zones[i - 1]?.to ?? low, one.to ?? high];
          const [top, bottom] = [at(to), at(from)];
          return (
            <rect
              key={i}
              x="72"
              y={top}
              width={one === zone ? 7 : 4}
              height={Math.max(0, bottom - top - 1)}
              fill={fill(colorOf(one))}
            />
          );
        })}
        {!drawn.small && (
          <>
            <text x="30" y="12" textAnchor="end">
              {told(high)}
            </text>
            <text x="30" y="202" textAnchor="end">
              {told(low)}
            </text>
          </>
        )}
        {dress.target !== undefined && (
          <g>
            <path d={`M80 ${at(dress.target)} l14 -8 v16 Z`} fill="var(--brass)" />
            <line
              x1="36"
              x2="80"
              y1={at(dress.target)}
              y2={at(dress.target)}
              stroke="var(--brass)"
              strokeWidth="2.4"
            />
            {!drawn.small && (
              <text
                x="98"
                y={at(dress.target) + 4}
                style={{ fill: "var(--brass-ink)", fontWeight: 600 }}
              >
                {told(dress.target)}
              </text>
            )}
          </g>
        )}
      </svg>
      <div className="facts">
        <span className="n" {...opens({ ...total, label: drawn.label }, drawn)}>
          {total.words}
        </span>
        <p>
          {[
            words,
            share === null || isRatio ? "" : `${share} % of ${told(low)} to ${told(high)}`,
            total.value !== null && (value > high || value < low) ? "outside of its range" : "",
          ]
            .filter(Boolean)
            .join(", ")}
        </p>
        {dress.target !== undefined && total.value !== null && (
          <p className="brass">{targetSaid(value, dress.target, told)}</p>
        )}
        {total.change !== undefined && (
          <p>{comparedWords(total.change, figure.then?.label ?? "before")}</p>
        )}
        {dress.zones.length > 0 && (
          <p className="zones">
            {dress.zones.map((one) =>
              one === zone ? (
                <b key={one.name}>{one.name}</b>
              ) : (
                <span key={one.name}>{one.name}</span>
              ),
            )}
          </p>
        )}
      </div>
    </Box>
  );
}

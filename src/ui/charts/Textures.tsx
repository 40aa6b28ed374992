"use client";

/** Textures of the colours: for prints and who asks for them, for colours that come again, and for those that mean something. */
export const Textures = () => (
  <svg width="0" height="0" aria-hidden style={{ position: "absolute" }}>
    <defs>
      {PATTERNS.map(([color, draw]) => (
        <pattern
          key={color}
          id={`texture-${color}`}
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
        >
          <rect width="8" height="8" fill={`var(--${color})`} />
          <g stroke="var(--salt)" strokeWidth="1.3" fill="none" opacity="0.75">
            {draw}
          </g>
        </pattern>
      ))}
    </defs>
  </svg>
);

const PATTERNS: readonly (readonly [string, React.ReactNode])[] = [
  ["c1", <path key="d" d="M0 0L8 8M0 8L8 0" />],
  ["c2", <path key="d" d="M0 8L8 0" />],
  ["c3", <circle key="d" cx="4" cy="4" r="1.2" />],
  ["c4", <path key="d" d="M0 4H8" />],
  ["c5", <path key="d" d="M0 0L8 8" />],
  ["c6", <path key="d" d="M4 0V8" />],
  ["c7", <path key="d" d="M0 4Q2 1 4 4T8 4" />],
  ["c8", <path key="d" d="M4 1V7M1 4H7" />],
  ["g1", <circle key="d" cx="4" cy="4" r="0.8" />],
  ["g2", <path key="d" d="M0 8L8 0" />],
  ["g3", <path key="d" d="M0 0L8 8M0 8L8 0" />],
];

/** Four strokes and a brass fifth. */
export const Mark = ({ size = 28 }: { size?: number }) => (
  <svg width={size} height={size} viewBox="0 0 28 28" aria-hidden>
    <g stroke="var(--on-spine)" strokeWidth="2.4" strokeLinecap="round">
      <path d="M6 4v20M11.5 4v20M17 4v20M22.5 4v20" />
    </g>
    <path d="M2 18.5 26.5 9.5" stroke="#e3b04b" strokeWidth="2.6" strokeLinecap="round" />
  </svg>
);

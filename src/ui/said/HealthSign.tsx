"use client";

const FLAT = "M1 8 H23";
const WAVES = "M1 9 C4 3 7 3 10 9 S 16 15 19 9 S 22 5 23 5";
const BREAKING =
  "M1 12 C4 4 8 2 10 6 C11 9 8 10 8 8 M9 12 C13 4 17 2 19 6 C20 9 17 10 17 8 M19 12 H23";

/** How something is, as the state of the sea: flat, waves, breaking. @param place 0 is best, as the workspace ranks its words */
export function HealthSign({
  place,
  label,
}: {
  readonly place: number | null;
  readonly label: string;
}) {
  const path = place === null || place < 0 ? null : ([FLAT, WAVES][place] ?? BREAKING);
  return (
    <svg
      width={24}
      height={16}
      viewBox="0 0 24 16"
      {...(label ? { role: "img", "aria-label": label } : { "aria-hidden": true })}
    >
      {label && <title>{label}</title>}
      {path ? (
        <path d={path} fill="none" stroke="currentColor" strokeWidth={2.2} strokeLinecap="round" />
      ) : (
        <circle cx={12} cy={8} r={1.6} fill="var(--ink-3)" />
      )}
    </svg>
  );
}

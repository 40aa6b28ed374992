/** The grounds, inks and series of the harbour log; day and night watch have the same contrast. */
export const day = {
  paper: "#f4efe4", salt: "#fdfbf6", tide: "#dce6e8", "tide-2": "#cbd9dc", sand: "#eadfc8", mallow: "#ecdfe9", "mallow-2": "#e0cddc",
  ink: "#1c1826", "ink-2": "#4a4356", "ink-3": "#5a5266", line: "#d9d1c2", grid: "#e7e1d5", ghost: "#e3ddd0",
  plum: "#5f1f57", "plum-hi": "#7b2d70", "on-plum": "#fdf6fb", spine: "#1c1826", "spine-2": "#342d46", "on-spine": "#f4efe4", "on-spine-2": "#b9b1c4",
  brass: "#a66f04", "brass-ink": "#704900", lit: "#f5dfa3", alarm: "#9c2f1f", water: "#bcd0e6",
  c1: "#223b8c", c2: "#5d94da", c3: "#978f6b", c4: "#c07a95", c5: "#296569", c6: "#7b441c", c7: "#735eaa", c8: "#303037",
  deep: "#ffffff", o1: "#ffffff", o2: "#17141f", o3: "#17141f", o4: "#17141f", o5: "#ffffff", o6: "#ffffff", o7: "#ffffff", o8: "#ffffff",
  r1: "#1b2b66", r2: "#4461b4", r3: "#86a3dc", r4: "#bccdec", q1: "#ffffff", q2: "#ffffff", q3: "#17141f", q4: "#17141f",
  shade: "0 14px 36px rgba(40,18,38,.20),0 2px 6px rgba(40,18,38,.12)",
} as const;

export const night: Record<keyof typeof day, string> = {
  paper: "#15131a", salt: "#1e1b25", tide: "#1e2e37", "tide-2": "#2a3e49", sand: "#2d271c", mallow: "#2b2030", "mallow-2": "#3b2b41",
  ink: "#f1eadc", "ink-2": "#c3bbca", "ink-3": "#a59cae", line: "#38333f", grid: "#2d2935", ghost: "#332e3b",
  plum: "#e3a9d9", "plum-hi": "#f0c4e8", "on-plum": "#2a0f26", spine: "#0c0a10", "spine-2": "#2b2536", "on-spine": "#f1eadc", "on-spine-2": "#b9b1c4",
  brass: "#e3b04b", "brass-ink": "#efc574", lit: "#4d3c14", alarm: "#f0a08f", water: "#34466e",
  c1: "#6f72dc", c2: "#6fb3ff", c3: "#e7deb0", c4: "#a86d84", c5: "#11846e", c6: "#cd884f", c7: "#988bb5", c8: "#bdbdc1",
  deep: "#ffffff", o1: "#121017", o2: "#121017", o3: "#121017", o4: "#121017", o5: "#ffffff", o6: "#121017", o7: "#121017", o8: "#121017",
  r1: "#d6e2fb", r2: "#94aee8", r3: "#4f6db9", r4: "#3a4f8b", q1: "#121017", q2: "#121017", q3: "#ffffff", q4: "#ffffff",
  shade: "0 14px 36px rgba(0,0,0,.6),0 2px 6px rgba(0,0,0,.5)",
};

export type Token = keyof typeof day;
export type Theme = "day" | "night";
export const THEMES: readonly Theme[] = ["day", "night"];

/** A token as CSS takes it. */
export const use = (token: Token): string => `var(--${token})`;
export const css = (tokens: Record<Token, string>): string => Object.entries(tokens).map(([name, value]) => `--${name}:${value};`).join("");

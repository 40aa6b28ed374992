/** What a key adds to what was typed; Backspace takes the last sign away. */
export function typedAfter(typed: string, key: string): string {
  if (key === "Backspace") return typed.slice(0, -1);
  return [...key].length === 1 ? typed + key : typed;
}

let stop: (() => string) | null = null;

/** Keeps what is typed from now on, until the box that was called for it is there to take it. */
export function keepTyped(): void {
  if (stop) return;
  let typed = "";
  const onKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const next = typedAfter(typed, event.key);
    if (next === typed) return;
    event.preventDefault();
    typed = next;
  };
  window.addEventListener("keydown", onKey, true);
  stop = () => {
    window.removeEventListener("keydown", onKey, true);
    stop = null;
    return typed;
  };
}

/** Takes what was typed meanwhile; the keys belong to the box from now on. */
export const takeTyped = (): string => stop?.() ?? "";

/**
 * Names under an axis: the words with which all of them begin are said once, so that more of them fit.
 * @returns what they have in common, "" where that is nothing, and each without it
 */
export function tickNames(names: readonly string[]): {
  readonly common: string;
  readonly of: (name: string) => string;
} {
  const [first = "", ...others] = names;
  const words = first.split(" ");
  let shared = 0;
  while (
    others.length > 0 &&
    shared < words.length - 1 &&
    others.every((name) => name.startsWith(`${words.slice(0, shared + 1).join(" ")} `))
  )
    shared += 1;
  const common = words.slice(0, shared).join(" ");
  return { common, of: (name) => (common ? name.slice(common.length + 1) : name) };
}

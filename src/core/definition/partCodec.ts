/**
 * Parts of a figure are told by short texts, so that they fit into addresses, marks and requests. A codec is the one place
 * that writes and reads the texts of one union of parts: each kind of part is a letter or a word, with a number or a text
 * behind it where it needs one.
 */
export interface PartCodec<P extends { readonly kind: string }> {
  write(part: P): string;
  /** null for a text that tells no part. */
  read(text: string): P | null;
}

/** How a kind of part is written: a word alone, a letter with a number behind it, or a letter with any text. */
export interface Form {
  readonly sign: string;
  readonly takes?: "index" | "text";
}

type PartOf<F extends Readonly<Record<string, Form>>> = {
  [K in keyof F & string]: F[K]["takes"] extends "index"
    ? { readonly kind: K; readonly index: number }
    : F[K]["takes"] extends "text"
      ? { readonly kind: K; readonly value: string }
      : { readonly kind: K };
}[keyof F & string];

/** The union of parts that some forms can write. */
export type PartsOf<C> = C extends PartCodec<infer P> ? P : never;

/** Signs of forms that take something are one letter; words alone are told whole. */
export function partCodec<const F extends Readonly<Record<string, Form>>>(
  forms: F,
): PartCodec<PartOf<F>> & { readonly forms: F } {
  const entries = Object.entries(forms);
  return {
    forms,
    write(part) {
      const { sign, takes } = forms[part.kind];
      if (takes === "index") return `${sign}${(part as { index: number }).index}`;
      return takes === "text" ? `${sign}${(part as { value: string }).value}` : sign;
    },
    read(text) {
      const bare = entries.find(([, form]) => !form.takes && form.sign === text);
      if (bare) return { kind: bare[0] } as PartOf<F>;
      const found = entries.find(([, form]) => form.takes && text.startsWith(form.sign));
      if (!found) return null;
      const [kind, { sign, takes }] = found;
      const rest = text.slice(sign.length);
      if (takes === "text") return { kind, value: rest } as PartOf<F>;
      return /^\d{1,9}$/.test(rest) ? ({ kind, index: Number(rest) } as PartOf<F>) : null;
    },
  };
}

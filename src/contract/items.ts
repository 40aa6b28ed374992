import { act } from "./act";

import { z } from "zod";

export const ChangeItemsAsk = z.object({
  changes: z
    .array(
      z.object({
        key: z.string(),
        field: z.string(),
        to: z.string().nullable(),
        expected: z.string().nullable().optional(),
      }),
    )
    .min(1)
    .max(2000),
});

export interface ItemChange {
  readonly key: string;
  readonly field: string;
  readonly to: string | null;
  /** The value that was seen; another one by now is left alone. */
  readonly expected?: string | null;
}

export interface ItemsChanged {
  readonly changed: readonly {
    readonly key: string;
    readonly field: string;
    readonly from: string | null;
    readonly to: string | null;
  }[];
  readonly left: readonly { readonly key: string; readonly why: string }[];
}

/** A field of an item as it is shown; `value` is as kept, `label` for people. */
export interface ItemField {
  readonly id: string;
  readonly words: string;
  readonly label: string | null;
  readonly value: string | null;
}

export interface ItemMove {
  readonly at: string;
  readonly field: string;
  readonly from: string | null;
  readonly to: string | null;
  readonly by: string | null;
}

export interface ItemPage {
  readonly key: string;
  readonly title: string;
  readonly fields: readonly ItemField[];
  readonly moves: readonly ItemMove[];
  readonly createdAt: string;
  readonly now: string;
  readonly mayChange: boolean;
  readonly links: readonly {
    readonly link: string;
    readonly key: string;
    readonly title: string;
    readonly outward: boolean;
  }[];
  readonly comments: readonly {
    readonly at: string;
    readonly by: string | null;
    readonly text: string;
    readonly internal: boolean;
  }[];
}

export const itemActs = { changeItems: act(ChangeItemsAsk).answers<ItemsChanged>() };

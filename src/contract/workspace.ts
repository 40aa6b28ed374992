import type { CatalogData, ViewerWords } from "@/core/catalog";
import type { Instant, WorkCalendar } from "@/core/time";
import { act } from "./act";
import { NothingAsk, IdAsk } from "./shared";

import { z } from "zod";

export const BrandAsk = z.object({
  heading: z.string().max(120),
  picture: z
    .string()
    .max(400_000)
    .regex(/^$|^data:image\/(png|jpeg);base64,/),
});

export const FindAsk = z.object({ words: z.string().max(10_000) });

/** Something that the quick box found. */
export interface Found {
  readonly kind: "item" | "report" | "dashboard" | "sentence";
  readonly words: string;
  readonly about: string;
  readonly href: string;
}

export const ImportActAsk = z.object({
  id: z.int(),
  act: z.enum(["bring in", "stop"]),
  stages: z.record(z.string(), z.enum(["waiting", "under way", "finished"])).optional(),
});

export interface ImportState {
  readonly id: number;
  readonly fileName: string;
  readonly state: "reading" | "checked" | "asks" | "writing" | "done" | "failed" | "stopped";
  readonly doing: string;
  readonly share: number;
  readonly problem: string | null;
  readonly tables: readonly {
    readonly file: string;
    readonly read: number;
    readonly fresh: number;
    readonly changed: number;
    readonly same: number;
    readonly refused: number;
  }[];
  readonly refused: number;
  readonly causes: readonly {
    readonly reason: string;
    readonly count: number;
    readonly where: string;
  }[];
  /** Columns that nothing reads, by their files. */
  readonly unread: readonly { readonly file: string; readonly columns: readonly string[] }[];
  readonly unstaged: readonly {
    readonly status: string;
    readonly guess: "waiting" | "under way" | "finished";
  }[];
}

export interface PersonLine {
  readonly id: number;
  readonly login: string;
  readonly name: string;
  readonly role: string;
  readonly team: string | null;
  readonly active: boolean;
  /** May sign in already. */
  readonly hasAccount: boolean;
}

/** What stands at the head of printed pages. */
export interface Brand {
  readonly heading: string;
  readonly picture: string;
}

/** What the report room needs to read sentences by itself; plain data from the server. */
export interface RoomFacts {
  readonly data: CatalogData;
  readonly calendar: Omit<WorkCalendar, "holidays"> & { readonly holidays: readonly string[] };
  readonly now: Instant;
  readonly viewer: ViewerWords;
  readonly mayBuild: boolean;
  /** Reports of one's own may be kept. */
  readonly mayKeep: boolean;
  /** Somebody of a client reads items and changes none. */
  readonly mayChangeItems: boolean;
}

export const workspaceActs = {
  /** What a room needs to read sentences by itself. */
  facts: act(NothingAsk).answers<RoomFacts>(),
  find: act(FindAsk).answers<Found[]>(),
  brand: act(NothingAsk).answers<Brand>(),
  setBrand: act(BrandAsk).answers<true>(),
  /** The secret of a link that lets somebody choose a password. */
  invite: act(IdAsk).answers<string>(),
  /** Tells the administrators that one would like to see more; how many were told. */
  askToSee: act(NothingAsk).answers<number>(),
  import: act(ImportActAsk).answers<ImportState>(),
};

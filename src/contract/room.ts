import { z } from "zod";
import type { CountAnswer, Percentages } from "@/core/answer";
import { DressSchema, ReportSchema, type Dress, type Report, type Tile } from "@/core/definition";
import type { Figure, Said } from "@/core/figure";
import type { Value } from "@/core/filter";
import type { Piece } from "@/core/sentence";

/** What the rooms ask the server, and what it answers; shared by both sides. */
export const FigureAsk = z.object({ definition: ReportSchema, dress: DressSchema });

const Opened = z.object({ path: z.array(z.string()).max(3), split: z.string().optional() });
const Paths = z.array(z.array(z.string()).min(1).max(6)).max(40);
export const RecordsAskSchema = z.object({
  definition: ReportSchema,
  opened: Opened.optional(),
  showing: Paths,
  sorts: z.array(z.object({ field: z.array(z.string()), descending: z.literal(true).optional() })).max(6),
  offset: z.int().min(0),
  limit: z.int().min(1).max(500),
});
export type OpenedPart = z.infer<typeof Opened>;

export const WorkingsAsk = z.object({ definition: ReportSchema });
/** The values of a field among what a report counts, without the condition at `except`. */
export const ValuesAsk = z.object({ definition: ReportSchema, field: z.array(z.string()).min(1), except: z.int().optional() });
export const SaveReportAsk = z.object({ id: z.int().optional(), version: z.int().optional(), name: z.string(), definition: z.unknown(), dress: z.unknown() });
export const NothingAsk = z.object({});
export const IdAsk = z.object({ id: z.int() });
export const PinAsk = z.object({ kind: z.enum(["report", "dashboard"]), id: z.int(), pinned: z.boolean() });
export const SaveDashboardAsk = z.object({ id: z.int().optional(), version: z.int().optional(), name: z.string(), purpose: z.string().optional(), tiles: z.unknown() });
export const ChangeItemAsk = z.object({ key: z.string(), field: z.string(), to: z.string().nullable(), expected: z.string().nullable() });
export const FindAsk = z.object({ words: z.string().max(10_000) });
export const SignInAsk = z.object({ login: z.string().max(200), password: z.string().max(200) });
export const InviteAcceptAsk = z.object({ secret: z.string(), password: z.string().max(400) });
export const FirstAsk = z.object({ workspace: z.string().max(200), login: z.string().max(100), name: z.string().max(200), password: z.string().max(400) });
export const TileAsk = z.object({ report: z.int() });
export const ImportActAsk = z.object({ id: z.int(), act: z.enum(["bring in", "stop"]), stages: z.record(z.string(), z.enum(["waiting", "under way", "finished"])).optional() });

/** A record as a table shows it: each cell in words. */
export interface ShownRecord {
  readonly id: number;
  readonly key: string | null;
  readonly cells: readonly (string | null)[];
}
export interface ShownRecords {
  readonly count: number;
  readonly columns: readonly { readonly field: readonly string[]; readonly words: string; readonly align: "left" | "right" }[];
  readonly rows: readonly ShownRecord[];
}

/** Whom the sign-in page of a demo workspace offers, and their password. */
export interface DemoFacts {
  readonly password: string;
  readonly people: readonly { readonly login: string; readonly name: string; readonly role: string; readonly team: string; readonly says: string }[];
}

/** Something that the quick box found. */
export interface Found {
  readonly kind: "item" | "report" | "dashboard" | "sentence";
  readonly words: string;
  readonly about: string;
  readonly href: string;
}

export interface ImportState {
  readonly id: number;
  readonly fileName: string;
  readonly state: "reading" | "checked" | "asks" | "writing" | "done" | "failed" | "stopped";
  readonly doing: string;
  readonly share: number;
  readonly problem: string | null;
  readonly tables: readonly { readonly file: string; readonly read: number; readonly fresh: number; readonly changed: number; readonly same: number; readonly refused: number }[];
  readonly refused: number;
  readonly causes: readonly { readonly reason: string; readonly count: number; readonly where: string }[];
  readonly unstaged: readonly { readonly status: string; readonly guess: "waiting" | "under way" | "finished" }[];
}

/** A report answered for the screen. */
export type ShownFigure =
  | { readonly kind: "count"; readonly answer: CountAnswer; readonly percentages: Percentages; readonly figure: Figure; readonly says: readonly Said[]; readonly asOf: string }
  | { readonly kind: "list"; readonly records: ShownRecords; readonly asOf: string };

/** A value that a picker offers, with how many records it would give. */
export interface ValueLine {
  readonly value: Value;
  readonly label: string;
  readonly count: number;
}

/** A saved report as its room gets it. */
export interface KeptReport {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly definition: Report;
  readonly dress: Dress;
  readonly owner: { readonly id: number; readonly name: string };
  readonly updatedAt: string;
  readonly pinned: boolean;
}

/** A line of the library. */
export interface ReportLine {
  readonly id: number;
  readonly name: string;
  readonly pieces: readonly Piece[];
  readonly shape: string | null;
  readonly owner: string;
  readonly mine: boolean;
  readonly updatedAt: string;
  readonly boards: number;
  readonly pinned: boolean;
}

/** A report or dashboard in somebody's side list. */
export interface PinLine {
  readonly kind: "report" | "dashboard";
  readonly id: number;
  readonly name: string;
}

/** A dashboard as its room gets it. */
export interface KeptDashboard {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly owner: { readonly id: number; readonly name: string };
  readonly tiles: readonly Tile[];
  readonly pinned: boolean;
  readonly mayChange: boolean;
}

/** A line of the list of dashboards. */
export interface DashboardLine {
  readonly id: number;
  readonly name: string;
  readonly purpose: string;
  readonly owner: string;
  readonly tiles: number;
  readonly updatedAt: string;
  readonly pinned: boolean;
  readonly mayChange: boolean;
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
  readonly links: readonly { readonly link: string; readonly key: string; readonly title: string; readonly outward: boolean }[];
  readonly comments: readonly { readonly at: string; readonly by: string | null; readonly text: string; readonly internal: boolean }[];
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

import { ReportSchema, type BurndownReport, type Report, type ShownHistory } from "@/core/kinds";
import { z } from "zod";

import { DressSchema, WORK_UNITS, type Dress, type Tile } from "@/core/definition";
import type { Value } from "@/core/filter";
import type { Cause } from "@/core/history";
import type { Piece } from "@/core/sentence";
import type { ShapeId } from "@/core/shapes";

/** What the rooms ask the server, and what it answers; shared by both sides. */
export const FigureAsk = z.object({ definition: ReportSchema, dress: DressSchema });

const Opened = z.object({
  path: z.array(z.string()).max(3),
  split: z.string().optional(),
  measure: z.int().min(0).max(5).optional(),
  before: z.literal(true).optional(),
  record: z.int().optional(),
});
const Paths = z.array(z.array(z.string()).min(1).max(6)).max(40);
export const RecordsAskSchema = z.object({
  definition: ReportSchema,
  opened: Opened.optional(),
  showing: Paths,
  sorts: z
    .array(z.object({ field: z.array(z.string()), descending: z.literal(true).optional() }))
    .max(6),
  offset: z.int().min(0),
  limit: z.int().min(1).max(500),
});
export type OpenedPart = z.infer<typeof Opened>;

export const WorkingsAsk = z.object({ definition: ReportSchema });
/** The values of a field among what a report counts, without the condition at `except`. */
export const ValuesAsk = z.object({
  definition: ReportSchema,
  field: z.array(z.string()).min(1),
  except: z.int().optional(),
  words: z.string().max(200).optional(),
});
export const SaveReportAsk = z.object({
  id: z.int().optional(),
  version: z.int().optional(),
  name: z.string(),
  purpose: z.string().optional(),
  category: z.string().optional(),
  definition: z.unknown(),
  dress: z.unknown(),
});
const Kind = z.enum(["report", "dashboard", "filter"]);
export const KeptAsk = z.object({ kind: Kind, id: z.int() });
const Share = z
  .object({
    everyone: z.boolean(),
    person: z.int().nullable(),
    team: z.int().nullable(),
    mayChange: z.boolean(),
  })
  .refine(
    (share) =>
      [share.everyone, share.person !== null, share.team !== null].filter(Boolean).length === 1,
    "a share is with everyone, a person or a team",
  );
export const SharesAsk = z.object({ kind: Kind, id: z.int(), shares: z.array(Share).max(200) });
export const SaveFilterAsk = z.object({
  id: z.int().optional(),
  version: z.int().optional(),
  name: z.string(),
  purpose: z.string().default(""),
  subject: z.unknown(),
  where: z.unknown(),
});
export const SaveMeasureAsk = z.object({
  id: z.int().optional(),
  name: z.string(),
  means: z.string(),
  subject: z.string(),
  measure: z.unknown(),
});
export const DraftAsk = z.object({
  report: z.int().min(0),
  draft: z
    .object({
      report: ReportSchema,
      dress: DressSchema,
      name: z.string().max(200),
      baseVersion: z.int(),
    })
    .nullable(),
});
export const TwinsAsk = z.object({ definition: ReportSchema, except: z.int().nullable() });
export const CompareAsk = z.object({
  definition: ReportSchema,
  opened: Opened.optional(),
  with: z.discriminatedUnion("kind", [
    z.object({ kind: z.literal("report"), id: z.int() }),
    z.object({ kind: z.literal("filter"), id: z.int() }),
    z.object({ kind: z.literal("sentence"), sentence: z.string().max(10_000) }),
    z.object({ kind: z.literal("keys"), text: z.string().max(200_000) }),
  ]),
});
export const QuickLookAsk = z.object({
  definition: ReportSchema,
  opened: Opened.optional(),
  field: z.array(z.string()).min(1),
});
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

export const MailingAsk = z.object({
  id: z.int().optional(),
  kind: z.enum(["report", "dashboard"]),
  target: z.int(),
  every: z.enum(["day", "week", "month"]),
  on: z.int().min(1).max(31).default(1),
  at: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/),
  people: z.array(z.int()).max(200),
  teams: z.array(z.int()).max(50),
  skipEmpty: z.boolean(),
  paper: z.enum(["A4", "Letter"]).default("A4"),
  across: z.boolean().default(true),
  now: z.boolean().optional(),
});
export const DayNoteAsk = z.object({
  id: z.int().optional(),
  day: z.string().regex(/^\d{4}-\d\d-\d\d$/),
  words: z.string().trim().min(1).max(200),
  service: z.int().nullable(),
  report: z.int().nullable(),
});
export const FindingAsk = z.object({
  report: z.int().nullable(),
  words: z.string().trim().min(1).max(500),
  address: z.string().max(10_000),
  picture: z.string().max(400_000).nullable(),
});
export const DefinitionFileAsk = z.object({ text: z.string().max(2_000_000) });
export const BrandAsk = z.object({
  heading: z.string().max(120),
  picture: z
    .string()
    .max(400_000)
    .regex(/^$|^data:image\/(png|jpeg);base64,/),
});
export const AboutAsk = z.object({ about: z.string().max(400) });
export const ForecastAsk = z.object({ definition: ReportSchema });
export const NothingAsk = z.object({});
export const IdAsk = z.object({ id: z.int() });
export const PinAsk = z.object({ kind: Kind, id: z.int(), pinned: z.boolean() });
export const SaveDashboardAsk = z.object({
  id: z.int().optional(),
  version: z.int().optional(),
  name: z.string(),
  purpose: z.string().optional(),
  tiles: z.unknown(),
});
export const FindAsk = z.object({ words: z.string().max(10_000) });
export const SignInAsk = z.object({ login: z.string().max(200), password: z.string().max(200) });
export const InviteAcceptAsk = z.object({ secret: z.string(), password: z.string().max(400) });
export const FirstAsk = z.object({
  workspace: z.string().max(200),
  login: z.string().max(100),
  name: z.string().max(200),
  password: z.string().max(400),
});
/** `stood`: as it stood at the end of a day, where the report says no day of its own. */
export const TileAsk = z.object({ report: z.int(), stood: z.iso.date().optional() });
export const ImportActAsk = z.object({
  id: z.int(),
  act: z.enum(["bring in", "stop"]),
  stages: z.record(z.string(), z.enum(["waiting", "under way", "finished"])).optional(),
});

/** Whom the sign-in page of a demo workspace offers, and their password. */
export interface DemoFacts {
  readonly password: string;
  readonly people: readonly {
    readonly login: string;
    readonly name: string;
    readonly role: string;
    readonly team: string;
    readonly says: string;
  }[];
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
  readonly unstaged: readonly {
    readonly status: string;
    readonly guess: "waiting" | "under way" | "finished";
  }[];
}

/** A value that a picker offers, with how many records it would give. */
export interface ValueLine {
  readonly value: Value;
  readonly label: string;
  readonly count: number;
  /** What tells two of one name apart. */
  readonly about?: string;
}

/** A condition that empties a figure, and how many there would be without it. */
export interface EmptiedBy {
  readonly index: number;
  readonly without: number;
}

/** A saved report as its room gets it. */
export interface KeptReport {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly category: string;
  readonly definition: Report;
  readonly dress: Dress;
  readonly owner: { readonly id: number; readonly name: string };
  readonly updatedAt: string;
  readonly pinned: boolean;
  readonly mayChange: boolean;
}

/** A line of the library. */
export interface ReportLine {
  readonly id: number;
  readonly name: string;
  readonly purpose: string;
  readonly category: string;
  readonly pieces: readonly Piece[];
  readonly shape: ShapeId | null;
  readonly owner: string;
  readonly mine: boolean;
  /** Of somebody in one of the viewer's teams, or shared with one. */
  readonly myTeams: boolean;
  readonly updatedAt: string;
  readonly boards: number;
  readonly pinned: boolean;
  readonly mayChange: boolean;
  /** How often it was opened in 90 days, when last, and when last by the viewer. */
  readonly opened: number;
  readonly lastOpened: string | null;
  readonly mineOpened: string | null;
}

/** A ready-made report as the library offers it. */
export interface ReadyLine {
  readonly name: string;
  readonly category: string;
  readonly sentence: string;
  readonly shape: ShapeId;
}

/** A saved filter as the library shows it, its conditions spelled out. */
export interface FilterLine {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly subject: string;
  readonly says: string;
  /** The sentence that lists what it holds, and that whose conditions are its own. */
  readonly sentence: string;
  readonly conditions: string;
  readonly owner: string;
  readonly mine: boolean;
  readonly shared: boolean;
  readonly updatedAt: string;
  readonly mayChange: boolean;
  readonly pinned: boolean;
}

/** A report by its name; a trend can be laid under another. */
export interface ReportName {
  readonly id: number;
  readonly name: string;
  readonly isTrend: boolean;
}

/** A report that asks the same, or of the same records. */
export interface TwinLine {
  readonly id: number;
  readonly name: string;
  readonly same: "sentence" | "conditions";
}

export interface VersionLine {
  readonly version: number;
  readonly name: string;
  readonly body: Record<string, unknown>;
  readonly savedBy: string | null;
  readonly savedAt: string;
}

/** Whom something is shared with: everyone, a person or a team. */
export interface ShareLine {
  readonly everyone: boolean;
  readonly person: number | null;
  readonly team: number | null;
  readonly mayChange: boolean;
}

export interface BinLine {
  readonly kind: "report" | "dashboard" | "filter";
  readonly id: number;
  readonly name: string;
  readonly deletedAt: string;
}

/** What somebody was making, kept on the server as they type. */
export interface KeptDraft {
  readonly report: Report;
  readonly dress: Dress;
  readonly name: string;
  readonly baseVersion: number;
}

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

/** Two sets of records held against each other, in words. */
export interface ShownComparison {
  readonly other: string;
  readonly both: number;
  readonly onlyHere: readonly { readonly key: string; readonly title: string }[];
  readonly onlyThere: readonly { readonly key: string; readonly title: string }[];
  readonly onlyHereCount: number;
  readonly onlyThereCount: number;
  readonly partedBy: readonly {
    readonly says: string;
    readonly side: "here" | "there";
    readonly fails: number;
  }[];
  readonly unknown: readonly string[];
}

/** Missing and doubled values of a field among some records. */
export interface QuickLook {
  readonly records: number;
  readonly missing: number;
  readonly different: number;
  readonly doubled: readonly { readonly value: string; readonly count: number }[];
}

export interface MailingLine {
  readonly id: number;
  readonly kind: "report" | "dashboard";
  readonly target: number;
  readonly name: string;
  readonly schedule: {
    readonly every: "day" | "week" | "month";
    readonly on: number;
    readonly at: string;
  };
  readonly people: readonly number[];
  readonly teams: readonly number[];
  readonly skipEmpty: boolean;
  readonly page: { readonly paper: "A4" | "Letter"; readonly across: boolean };
  readonly nextAt: string | null;
  readonly lastAt: string | null;
  readonly lastSaid: string | null;
  readonly owner: string;
  readonly mayChange: boolean;
}

/** A mail in the mail room. */
export interface MailLine {
  readonly id: number;
  readonly receivedAt: string;
  readonly from: string;
  readonly to: readonly string[];
  readonly subject: string;
  readonly text: string;
  readonly html: string;
  readonly attachments: readonly {
    readonly id: number;
    readonly name: string;
    readonly type: string;
    readonly bytes: number;
  }[];
}

export interface NoticeLine {
  readonly about: string;
  readonly words: string;
  readonly href: string;
}

export interface DayNoteLine {
  readonly id: number;
  readonly day: string;
  readonly words: string;
  readonly service: number | null;
  readonly report: number | null;
  readonly owner: string;
  readonly mayChange: boolean;
}

export interface FindingLine {
  readonly id: number;
  readonly words: string;
  readonly address: string;
  readonly picture: string | null;
  readonly owner: string;
  readonly at: string;
}

export const SprintAsk = z.object({
  sprint: z.int(),
  unit: z.enum(WORK_UNITS),
  stood: z.iso.date().optional(),
});

/** A sprint among others; days are local ones. */
export interface SprintLine {
  readonly id: number;
  readonly name: string;
  readonly team: string | null;
  readonly teamId: number | null;
  readonly starts: string | null;
  readonly ends: string | null;
  readonly stage: "ahead" | "running" | "closed";
}

interface SprintItemLine {
  readonly key: string;
  readonly title: string;
  readonly amount: string | null;
  readonly assignee: string | null;
}

/** A sprint as its room shows it: the burndown, each change of its scope and by whom, its items where they stand. */
export interface ShownSprint {
  readonly definition: BurndownReport;
  readonly shown: ShownHistory;
  readonly ledger: readonly {
    readonly at: number;
    readonly key: string;
    readonly title: string;
    readonly cause: Cause;
    readonly amount: string;
    readonly by: string | null;
  }[];
  readonly finished: readonly SprintItemLine[];
  readonly open: readonly SprintItemLine[];
  readonly out: readonly SprintItemLine[];
}

/** A report or dashboard in somebody's side list. */
export interface PinLine {
  readonly kind: "report" | "dashboard" | "filter";
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

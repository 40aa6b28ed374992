import { DressSchema } from "@/core/definition/schemas";
import { ReportSchema } from "@/core/kinds/schemas";
import type { KeptReport, ReportLine, ReportName, TwinLine } from "@/contract/library";
import { fine, refused, type Problem, type Result } from "@/core/base";
import type { AskContext, Catalog } from "@/core/catalog";

import {
  checkReport,
  printReport,
  type Report,
  sentencePieces,
  soughtWords,
  takesConditions,
  usesSavedFilter,
} from "@/core/kinds";

import {
  findReport,
  isOwner,
  putReport,
  readableNames,
  readableReports,
  reportsOfSubject,
  reportsWithFilters,
  type EntityManager,
  type Saved,
  type Viewer,
} from "@/data";
import { mayBuild, mayChangeOwned, mayKeep } from "./kept";

export async function loadReport(
  em: EntityManager,
  viewer: Viewer,
  id: number,
): Promise<KeptReport | null> {
  const row = await findReport(em, viewer, id);
  if (!row) return null;
  const { ownerId, owner, ...kept } = row;
  return {
    ...kept,
    definition: ReportSchema.parse(row.definition),
    dress: DressSchema.parse(row.dress),
    owner: { id: ownerId, name: owner },
    mayChange: mayChangeOwned(viewer, row),
  };
}

export async function listReports(
  em: EntityManager,
  viewer: Viewer,
  catalog: Catalog,
): Promise<ReportLine[]> {
  const rows = await readableReports(em, viewer);
  return rows.map((row): ReportLine => {
    const definition = ReportSchema.parse(row.definition);
    return {
      id: row.id,
      name: row.name,
      purpose: row.purpose,
      category: row.category,
      pieces: sentencePieces(definition, catalog),
      sought: soughtWords(definition, catalog),
      shape: definition.shape ?? null,
      takesConditions: takesConditions(definition),
      owner: row.owner,
      mine: row.ownerId === viewer.person,
      myTeams: row.myTeams === true,
      updatedAt: row.updatedAt,
      boards: row.boards,
      pinned: row.pinned,
      mayChange: mayChangeOwned(viewer, row),
      opened: row.opened,
      lastOpened: row.lastOpened,
      mineOpened: row.mineOpened,
    };
  });
}

/** Names of all reports that one may read, for pickers; a trend is drawn on a time axis of the past. */
export async function reportNames(em: EntityManager, viewer: Viewer): Promise<ReportName[]> {
  const names = await readableNames(em, viewer, "", MOST_NAMES);
  return names.map(({ id, name, kind }) => ({ id, name, isTrend: TRENDS.has(kind) }));
}

const MOST_NAMES = 2000;
/** The kinds whose reports can be laid under one another: they share a time axis. */
const TRENDS: ReadonlySet<string> = new Set<Report["kind"]>(["level", "crossings"]);

/** Reports that one may read and that ask the same, or the same of the same records. */
export async function findTwins(
  em: EntityManager,
  viewer: Viewer,
  catalog: Catalog,
  report: Report,
  except: number | null,
): Promise<TwinLine[]> {
  const conditions = ({ where }: Report) => JSON.stringify(where ?? null);
  const asked = printReport({ ...report, shape: undefined }, catalog);
  const rows = await reportsOfSubject(em, viewer, report.subject, except);
  const twins = rows.flatMap(({ id, name, definition }): TwinLine[] => {
    const other = ReportSchema.parse(definition);
    if (printReport({ ...other, shape: undefined }, catalog) === asked)
      return [{ id, name, same: "sentence" }];
    return report.where && conditions(other) === conditions(report)
      ? [{ id, name, same: "conditions" }]
      : [];
  });
  return [
    ...twins.filter((twin) => twin.same === "sentence"),
    ...twins.filter((twin) => twin.same === "conditions"),
  ].slice(0, 3);
}

/** What the reports of a subject ask that one may see, in sentences. */
export async function sentencesAbout(
  em: EntityManager,
  viewer: Viewer,
  catalog: Catalog,
  subject: Report["subject"],
): Promise<readonly string[]> {
  const rows = await reportsOfSubject(em, viewer, subject, null);
  return rows.map(({ definition }) => printReport(ReportSchema.parse(definition), catalog));
}

/** The reports that a saved filter changes: those that name it anywhere, or come to it by way of another filter. */
export async function reportsOfFilter(
  em: EntityManager,
  viewer: Viewer,
  catalog: Catalog,
  filter: number,
): Promise<{ id: number; name: string }[]> {
  const rows = await reportsWithFilters(em, viewer);
  return rows
    .filter(({ definition }) => usesSavedFilter(ReportSchema.parse(definition), filter, catalog))
    .map(({ id, name }) => ({ id, name }));
}

const mayNot = () =>
  refused({
    code: "report.right",
    message: "This report is not yours to change: keep a copy for yourself, or ask a builder.",
  });
const nameProblem = (name: string): string | null =>
  name.trim() === ""
    ? "A report needs a name."
    : name.trim().length > 200
      ? "A name has at most 200 characters."
      : null;

export interface ReportToSave {
  readonly id?: number;
  /** The version that was changed; another one by now is told instead of overwritten. */
  readonly version?: number;
  readonly name: string;
  readonly purpose?: string;
  readonly category?: string;
  readonly definition: unknown;
  readonly dress: unknown;
  /** Shared with everyone from the start: ready-made ones. */
  readonly forEveryone?: boolean;
}

/** Builders save whatever they may change; others keep reports of their own. */
const maySave = async (em: EntityManager, viewer: Viewer, id: number | undefined) =>
  mayBuild(viewer) ||
  (mayKeep(viewer) && (id === undefined || (await isOwner(em, viewer, "report", id))));

/** Saves a new report, or a new version of one. */
export async function saveReport(
  em: EntityManager,
  viewer: Viewer,
  context: AskContext,
  given: ReportToSave,
): Promise<Result<{ id: number; version: number }>> {
  if (!(await maySave(em, viewer, given.id))) return mayNot();
  const problem = nameProblem(given.name);
  if (problem) return refused({ code: "report.name", message: problem, path: "name" });
  const read = ReportSchema.safeParse(given.definition);
  const dress = DressSchema.safeParse(given.dress);
  if (!read.success || !dress.success)
    return refused({
      code: "report.shape",
      message: "This report has a part that is not understood.",
    });
  const wrong = checkReport(read.data, context);
  if (wrong.length) return refused(...wrong);
  const name = given.name.trim();
  const [purpose, category] = [
    (given.purpose ?? "").trim().slice(0, 1000),
    (given.category ?? "").trim().slice(0, 100),
  ];
  const body = { definition: read.data, dress: dress.data, purpose, category };
  const saved = await putReport(em, viewer, { ...given, name }, body);
  return "saved" in saved ? fine(saved.saved) : refused(notSaved(saved));
}

function notSaved(saved: Exclude<Saved, { saved: unknown }>): Problem {
  switch (saved.why) {
    case "none":
      return {
        code: "report.none",
        message: "This report is gone. Save it as a copy to keep your work.",
      };
    case "notYours":
      return {
        code: "report.owner",
        message: "This report is somebody else's. Save it as a copy.",
      };
    case "meanwhile":
      return {
        code: "report.version",
        message: `${saved.by} saved this report meanwhile. Look at the difference, then keep yours or theirs.`,
      };
  }
}

import {
  BoardFilterSchema,
  DashboardSchema,
  DeckSchema,
  DressSchema,
  ReportTileSchema,
  TextTileSchema,
} from "@/core/definition/schemas";
import { isReportTile, type BoardFilter } from "@/core/definition";
import { parseConditionText } from "@/core/sentence";
import { parseSentence, printReport } from "@/core/kinds";
import { z } from "zod";
import { fine, refused, type Problem, type Result } from "@/core/base";

import type { EntityManager } from "@/data";
import { loadDashboard, saveDashboard } from "../dashboards/dashboards";
import { saveFilter } from "../library/filters";
import { loadReport, saveReport } from "../library/reports";
import type { Desk } from "../viewer/viewpoint";

export const FILE_VERSION = 1;
const Name = z.string().trim().min(1).max(200);
const Purpose = z.string().max(1000).default("");
const Report = z.strictObject({
  name: Name,
  purpose: Purpose,
  category: z.string().max(100).default(""),
  sentence: z.string().min(1).max(10_000),
  dress: DressSchema.strict().optional(),
});

/**
 * A definition as a file: things are named as in a sentence, so that it can be read in another workspace. The published
 * JSON Schema of it is docs/definition.schema.json.
 */
export const DefinitionFile = z.discriminatedUnion("kind", [
  z.strictObject({
    grandTally: z.literal(FILE_VERSION),
    kind: z.literal("report"),
    report: Report,
  }),
  z.strictObject({
    grandTally: z.literal(FILE_VERSION),
    kind: z.literal("filter"),
    filter: z.strictObject({
      name: Name,
      purpose: Purpose,
      sentence: z.string().min(1).max(10_000),
    }),
  }),
  z.strictObject({
    grandTally: z.literal(FILE_VERSION),
    kind: z.literal("dashboard"),
    dashboard: z.strictObject({
      name: Name,
      purpose: Purpose,
      reports: z.array(Report).max(60),
      tiles: z
        .array(
          z.union([
            ReportTileSchema.omit({ report: true, by: true }).extend({
              report: z.int().min(0).describe("the place of its report among `reports`, from 0"),
            }),
            TextTileSchema,
          ]),
        )
        .max(60),
      decks: z.array(DeckSchema).max(20).optional(),
      filters: z
        .array(
          BoardFilterSchema.omit({ begins: true }).extend({
            begins: z.string().max(4000).optional().describe("a condition of the sentence"),
          }),
        )
        .max(20)
        .optional(),
    }),
  }),
]);
export type DefinitionFile = z.infer<typeof DefinitionFile>;

/** The JSON Schema of definition files. */
export const definitionSchema = (): object => ({
  ...z.toJSONSchema(DefinitionFile, { io: "input", unrepresentable: "any" }),
  title: "A definition of Grand Tally: a report, a saved filter or a dashboard",
});

/** Writes a definition as a file; null for what is not there or not the viewer's to see. */
export async function writeDefinition(
  em: EntityManager,
  desk: Desk,
  kind: "report" | "dashboard" | "filter",
  id: number,
): Promise<{ name: string; file: DefinitionFile } | null> {
  const { catalog } = desk.view;
  const reportOf = async (report: number) => {
    const kept = await loadReport(em, desk.viewer, report);
    return (
      kept && {
        name: kept.name,
        purpose: kept.purpose,
        category: kept.category,
        sentence: printReport(kept.definition, catalog),
        dress: kept.dress,
      }
    );
  };
  if (kind === "report") {
    const report = await reportOf(id);
    return report && { name: report.name, file: { grandTally: FILE_VERSION, kind, report } };
  }
  if (kind === "filter") {
    const filter = catalog.findFilter(id);
    if (!filter) return null;
    const sentence = printReport(
      {
        kind: "list",
        subject: filter.subject,
        ...(filter.where ? { where: filter.where as never } : {}),
        showing: [],
        sorts: [],
      },
      catalog,
    );
    return {
      name: filter.name,
      file: {
        grandTally: FILE_VERSION,
        kind,
        filter: { name: filter.name, purpose: filter.purpose, sentence },
      },
    };
  }
  const board = await loadDashboard(em, desk.viewer, id, desk.view);
  if (!board) return null;
  const ids = [...new Set(board.tiles.filter(isReportTile).map((tile) => tile.report))];
  const reports = await Promise.all(ids.map(reportOf));
  const known = ids.filter((_, i) => reports[i]);
  return {
    name: board.name,
    file: {
      grandTally: FILE_VERSION,
      kind,
      dashboard: {
        name: board.name,
        purpose: board.purpose,
        reports: reports.filter((report) => report !== null),
        tiles: board.tiles
          .filter((tile) => !isReportTile(tile) || known.includes(tile.report))
          .map((tile) => {
            if (!isReportTile(tile)) return tile;
            const { by: _by, ...rest } = tile;
            return { ...rest, report: known.indexOf(tile.report) };
          }),
        decks: [...board.decks],
        filters: board.filters.map(({ says, begins: _begins, ...filter }) => ({
          ...filter,
          ...(says === null ? {} : { begins: says }),
        })),
      },
    },
  };
}

/** Reads a file and checks all of it: what is wrong comes with its path and the reason. */
export function readDefinition(text: string): Result<DefinitionFile> {
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch (error) {
    return refused({ code: "file.json", message: `This is not JSON: ${(error as Error).message}` });
  }
  const version = (given as { grandTally?: unknown } | null)?.grandTally;
  if (version === undefined)
    return refused({
      code: "file.kind",
      message: "This is not a definition file: it has no grandTally with its version.",
      path: "grandTally",
    });
  if (typeof version === "number" && version > FILE_VERSION)
    return refused({
      code: "file.version",
      message: `This file is of version ${version}; this application reads up to ${FILE_VERSION}. Bring the application up to date.`,
      path: "grandTally",
    });
  const read = DefinitionFile.safeParse(given);
  if (read.success) return fine(read.data);
  return refused(
    ...read.error.issues.slice(0, 20).map((issue): Problem => ({
      code: "file.part",
      path: issue.path.map(String).join("."),
      message: `${issue.path.map(String).join(".") || "the file"}: ${issue.code === "unrecognized_keys" ? `nothing is called ${issue.keys.map((key) => `"${key}"`).join(", ")} here` : issue.message}`,
    })),
  );
}

/** Brings a definition in, as one's own; nothing of it is kept unless all of it can be read here. */
export async function bringDefinition(
  em: EntityManager,
  desk: Desk,
  text: string,
): Promise<Result<{ kind: DefinitionFile["kind"]; id: number; name: string }>> {
  const read = readDefinition(text);
  if (!read.ok) return read;
  const file = read.value;
  if (file.kind === "filter") {
    const parsed = parseSentence(file.filter.sentence, desk.view);
    if (!parsed.ok) return refused(atPath(parsed.problems[0], "filter.sentence"));
    const saved = await saveFilter(em, desk.viewer, desk.view, {
      name: file.filter.name,
      purpose: file.filter.purpose,
      subject: parsed.value.subject,
      where: parsed.value.where ?? null,
    });
    return saved.ok ? fine({ kind: file.kind, id: saved.value.id, name: file.filter.name }) : saved;
  }
  const reports = file.kind === "report" ? [file.report] : file.dashboard.reports;
  const parsed = reports.map((report) => parseSentence(report.sentence, desk.view));
  const bad = parsed.findIndex((one) => !one.ok);
  if (bad >= 0)
    return refused(
      atPath(
        (parsed[bad] as { problems: readonly Problem[] }).problems[0],
        file.kind === "report" ? "report.sentence" : `dashboard.reports.${bad}.sentence`,
      ),
    );
  if (file.kind === "dashboard") {
    const wrong = file.dashboard.tiles.findIndex(
      (tile) => isReportTile(tile) && tile.report >= reports.length,
    );
    if (wrong >= 0)
      return refused({
        code: "file.part",
        path: `dashboard.tiles.${wrong}.report`,
        message: `dashboard.tiles.${wrong}.report: there is no such report in this file`,
      });
    const shape = DashboardSchema.safeParse({
      name: file.dashboard.name,
      purpose: file.dashboard.purpose,
      tiles: file.dashboard.tiles,
      decks: file.dashboard.decks ?? [],
    });
    if (!shape.success)
      return refused({
        code: "file.part",
        path: "dashboard",
        message: `dashboard: ${shape.error.issues[0].message}`,
      });
  }
  const ids: number[] = [];
  for (const [i, report] of reports.entries()) {
    const one = parsed[i];
    const saved = await saveReport(em, desk.viewer, desk.view, {
      name: report.name,
      purpose: report.purpose,
      category: report.category,
      definition: one.ok ? one.value : null,
      dress: report.dress ?? {},
    });
    if (!saved.ok) return saved;
    ids.push(saved.value.id);
  }
  if (file.kind === "report") return fine({ kind: file.kind, id: ids[0], name: file.report.name });
  const filters = readFilters(file.dashboard.filters ?? [], desk);
  if (!filters.ok) return filters;
  const board = await saveDashboard(em, desk.viewer, {
    name: file.dashboard.name,
    purpose: file.dashboard.purpose,
    tiles: file.dashboard.tiles.map((tile) =>
      isReportTile(tile) ? { ...tile, report: ids[tile.report] } : tile,
    ),
    decks: file.dashboard.decks ?? [],
    filters: filters.value,
  });
  return board.ok
    ? fine({ kind: file.kind, id: board.value.id, name: file.dashboard.name })
    : board;
}

type FileFilter = NonNullable<
  Extract<DefinitionFile, { kind: "dashboard" }>["dashboard"]["filters"]
>[number];

/** The filters of a dashboard with what they begin with as conditions. */
function readFilters(filters: readonly FileFilter[], { view }: Desk): Result<BoardFilter[]> {
  const read: BoardFilter[] = [];
  for (const [i, { begins, ...filter }] of filters.entries()) {
    const condition =
      begins === undefined ? null : parseConditionText(begins, filter.subject, view);
    if (condition && !condition.ok)
      return refused(atPath(condition.problems[0], `dashboard.filters.${i}.begins`));
    read.push({ ...filter, ...(condition ? { begins: condition.value } : {}) });
  }
  return fine(read);
}

const atPath = (problem: Problem, path: string): Problem => ({
  ...problem,
  path,
  message: `${path}: ${problem.message}${problem.nearest?.length ? `; did you mean ${problem.nearest[0]}?` : ""}`,
});

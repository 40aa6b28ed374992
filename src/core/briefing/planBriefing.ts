import type { Here } from "../catalog";
import { nameText } from "../sentence";
import type { Plan } from "../plan";
import type { Viewpoint } from "../relation";
import { bind, compile, sql } from "../sql";
import { addDays, endOfDay, localDay, type Day } from "../time";
import { planAnswers, planTold } from "./planTold";
import { placesIn, runsOf } from "./ownWords";
import type { BriefingPart, BriefingPlace } from "./part";
import { partsOf, type BriefingKind } from "./parts";
import { showing } from "./project/asked";
import { isFigure, plainText, type Block, type Run } from "./text";
import { fromTogether, togetherOf } from "./together";
import type { Answers, Told } from "./told";

/** A part as it is kept: one that is made from figures, words of one's own, or both, or a report that is drawn or listed. */
export interface PartAsk {
  readonly id: string;
  /** Which part of the template it is; nothing: it was added by hand. */
  readonly made?: string | undefined;
  readonly title?: string | undefined;
  /** Own words, with sentences in braces; over a made part they stand in its place. */
  readonly words?: string | undefined;
  /** A sentence whose figure is drawn. */
  readonly draws?: string | undefined;
}

/** A part as it is read. */
export interface WrittenPart {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly Block[];
  /** What the generator would write, where somebody's own words stand in its place. */
  readonly wouldSay: readonly Block[] | null;
  /** How the generator's words read, without their figures' being open: what a keeper compares with. */
  readonly madeText: string | null;
}

export interface Briefing {
  readonly place: BriefingPlace;
  readonly parts: readonly WrittenPart[];
}

export interface BriefingAsk {
  readonly kind: BriefingKind;
  readonly here: Here | null;
  /** Its name, as it is called. */
  readonly name: string;
  readonly parts: readonly PartAsk[];
  /** The day that all of it stands at; null: now. */
  readonly stood: Day | null;
  /** The day of the briefing before it; null: the end of the month before. */
  readonly since: Day | null;
  readonly company: string;
}

/** How the parts of a briefing are asked. */
interface Asking {
  readonly place: BriefingPlace;
  readonly view: Viewpoint;
  readonly stood: Day | null;
  /** What several parts ask of the project itself, by the day that it stands at. */
  readonly together: Answers;
}

/** Asks and writes a briefing for whoever looks: some sentences for each part, one snapshot for all. */
export function* planBriefing(ask: BriefingAsk, given: Viewpoint): Plan<Briefing> {
  const view = ask.here ? { ...given, here: ask.here } : given;
  const place = yield* placeOf(ask, view);
  const known = new Map(partsOf(ask.kind, place.printed).map((part) => [part.id, part]));
  const asked = ask.parts.flatMap(({ made }) =>
    Object.values(known.get(made ?? "")?.asks(place) ?? {}),
  );
  const together = yield* planAnswers(Object.fromEntries(togetherOf(asked)), view, ask.stood);
  const parts: WrittenPart[] = [];
  for (const part of ask.parts) {
    const made = part.made === undefined ? undefined : known.get(part.made);
    const written = yield* writePart(part, made, { place, view, stood: ask.stood, together });
    if (written) parts.push(written);
  }
  return { place, parts };
}

function* writePart(
  { id, title, words, draws }: PartAsk,
  made: BriefingPart | undefined,
  asking: Asking,
): Plan<WrittenPart | null> {
  const { place, view, stood } = asking;
  const generated = made ? yield* generate(made, asking) : [];
  const called = title ?? (made ? made.title(place) : "");
  const madeText = made ? plainText(generated) : null;
  const drawing: Block[] = draws
    ? [{ kind: "drawing", title: called, says: stoodText(draws, stood) }]
    : [];
  if (words === undefined) {
    const said = [...generated, ...drawing];
    const silent: Block[] = made?.always ? [{ kind: "note", words: made.always }] : [];
    const blocks = said.length ? said : silent;
    return blocks.length ? { id, title: called, blocks, wouldSay: null, madeText } : null;
  }
  const own = yield* ownBlocks(words, view, stood);
  return {
    id,
    title: called,
    blocks: [...own, ...generated.filter((block) => block.kind !== "text"), ...drawing],
    wouldSay: made ? generated.filter((block) => block.kind === "text") : null,
    madeText,
  };
}

function* generate(part: BriefingPart, { place, view, stood, together }: Asking): Plan<Block[]> {
  const known: Record<string, Told> = {};
  const open: Record<string, string> = {};
  for (const [name, says] of Object.entries(part.asks(place))) {
    const told = fromTogether(says, together);
    if (told) known[name] = told;
    else open[name] = says;
  }
  const answers = { ...known, ...(yield* planAnswers(open, view, stood)) };
  const lost = Object.values(answers).find((told) => told.gone !== null);
  // What cannot be asked in this workspace is no nought.
  if (lost) return [{ kind: "note", words: `It cannot be asked here: ${lost.gone}.` }];
  return part.write(answers, place).map((block) => asStood(block, stood));
}

/** Of a frozen briefing every sentence behind a figure asks for the day that it stands at. */
function asStood(block: Block, stood: Day | null): Block {
  if (!stood || block.kind === "note") return block;
  if (block.kind !== "text") return { ...block, says: stoodText(block.says, stood) };
  return {
    ...block,
    runs: block.runs.map((run) =>
      isFigure(run) ? { ...run, says: stoodText(run.says, stood) } : run,
    ),
  };
}

const stoodText = (says: string, stood: Day | null): string =>
  !stood || says.includes(" as it stood ") ? says : `${says} as it stood on ${stood}`;

/** Words of one's own, with their figures as they are now. */
function* ownBlocks(words: string, view: Viewpoint, stood: Day | null): Plan<Block[]> {
  const told: Told[] = [];
  for (const says of placesIn(words)) told.push(yield* planTold(says, view, stood));
  return runsOf(words, (says, i): Run => {
    const { words: figure, isHidden, gone } = told[i];
    const of = { key: `own ${i}`, says: stoodText(says, stood) };
    if (isHidden) return { ...of, words: "not yours to see", lacks: "right" };
    return gone === null ? { ...of, words: figure } : { ...of, words: "gone", lacks: "meaning" };
  }).map((runs) => ({ kind: "text", runs }));
}

function* placeOf(ask: BriefingAsk, view: Viewpoint): Plan<BriefingPlace> {
  const { zone } = view.calendar;
  const asked = ask.stood ? endOfDay(ask.stood, zone) - 1 : view.now;
  const today = localDay(Math.min(asked, view.now), zone);
  const place = {
    here: ask.here,
    printed: nameText(ask.name),
    today,
    since: ask.since ?? addDays(`${today.slice(0, 7)}-01`, -1),
    currency: view.catalog.data.money.currency,
    company: ask.company,
    span: null,
    budgetToCome: null,
  };
  if (ask.here?.thing !== "project") return place;
  const asks = { project: showing("starts", "started", "ends", "finished", "budget") };
  const row = (yield* planAnswers(asks, view, ask.stood)).project.rows[0];
  const from = row?.day("starts") ?? row?.day("started");
  const to = row?.day("ends") ?? row?.day("finished") ?? today;
  return {
    ...place,
    span: from && from <= to ? { from, to } : null,
    budgetToCome: row?.number("budget") ? yield* budgetAfter(ask.here.id, today) : null,
  };
}

/** The next change of a project's budget after a day; asked only for who sees its money. */
function* budgetAfter(project: number, day: Day): Plan<BriefingPlace["budgetToCome"]> {
  const [rows] = yield [
    compile(sql`SELECT c."on", c."to" FROM budget_changes c
      WHERE c.project_id = ${bind(project, "int")} AND c."on" > ${bind(day, "date")} AND c."to" IS NOT NULL
      ORDER BY c."on" LIMIT 1`),
  ];
  const [first] = rows;
  return first ? { on: first[0]!, to: first[1]! } : null;
}

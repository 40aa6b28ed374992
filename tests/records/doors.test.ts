import type { ActId } from "@/contract/acts";
import { viewerNamed } from "../support/viewer";
import { Refused } from "@/server/refused";
import { completeSentence, parseSentence } from "@/core/kinds";
import { parseInstant } from "@/core/time";

import { importBundle, loadViewer, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import type { RawBundle, RawTable } from "@/core/bundle";
import { makeToken } from "@/server/accounts/tokens";
import { apiAnswer, apiRecords } from "@/server/api/answer";
import { perform } from "@/server/acts";
import type { Clock } from "@/server/clock";
import { changeItems } from "@/server/items/changeItems";
import { loadItem } from "@/server/items/itemPage";
import { find } from "@/server/library/find";
import { saveReport } from "@/server/library/reports";
import { PLAIN_DRESS } from "@/core/definition";
import { deskOf, type Desk } from "@/server/viewer/viewpoint";
import { dropDatabase, freshDatabase } from "../support/database";

const table = (text: string): RawTable => {
  const [head, ...body] = text
    .trim()
    .split("\n")
    .map((line) => line.trim().split(","));
  return { columns: head, rows: body };
};
/** Two worlds that differ in one thing only: in the second the hidden project, its items and its people do not exist. */
const world = (withHidden: boolean): RawBundle => ({
  statuses: table("status,stage\nLogged,waiting\nSigned off,finished"),
  kinds: table("kind,plural\nfault,faults"),
  people: table(
    `login,name,team,role\nruna,Runa Vale,Desk,administrator\ntomas,Tomas Reyl,Desk,member\nines,Inês Duarte,Desk,builder${withHidden ? "\nwim,Wim Hidden,Yard,member" : ""}`,
  ),
  teams: table(`team,manager\nDesk,ines${withHidden ? "\nYard," : "\nYard,"}`),
  projects: table(
    `project,teams\nOpen works,\nDesk works,Desk${withHidden ? "\nSecret refit,Yard" : ""}`,
  ),
  sprints: table(
    `sprint,team,project\nSprint 1,Desk,${withHidden ? "\nSecret sprint,Yard,Secret refit" : ""}`,
  ),
  items: table(
    `key,kind,title,status,assignee,project,sprint,created_at,parent
A1,fault,Gate one,Logged,tomas,,Sprint 1,2026-11-01T09:00:00Z,${withHidden ? "S1" : ""}
A2,fault,Gate two,Logged,ines,Desk works,,2026-11-02T09:00:00Z,
A3,fault,Gate three,Signed off,,Open works,,2026-11-02T10:00:00Z,${withHidden ? "\nS1,fault,Gate secret,Logged,wim,Secret refit,Secret sprint,2026-11-03T09:00:00Z," : ""}`,
  ),
  moves: table(
    `key,at,field,from,to,by\nA3,2026-11-03T10:00:00Z,project,${withHidden ? "Secret refit" : ""},Open works,ines\nA3,2026-11-03T11:00:00Z,status,Logged,Signed off,ines`,
  ),
  links: table(`from_key,link,to_key\nA1,goes with,A2${withHidden ? "\nA2,goes with,S1" : ""}`),
});

interface World {
  readonly em: EntityManager;
  readonly desk: Desk;
  readonly token: string;
}
const NOW = parseInstant("2026-11-24T16:00:00Z")!;
const clock: Clock = { now: () => NOW };

async function open(withHidden: boolean, login: string): Promise<World> {
  const em = await freshDatabase(withHidden ? "doors_hidden" : "doors_plain");
  const outcome = await importBundle(em, world(withHidden), { now: NOW });
  expect(outcome.refused).toEqual([]);
  const viewer = await viewerNamed(em, login);
  return { em, desk: await deskOf(em, viewer!, clock), token: (await makeToken(em, login))! };
}

/** What the same knock gets in both worlds, with identities and times taken out. */
async function knock(door: (world: World) => Promise<unknown>): Promise<[unknown, unknown]> {
  const answers: unknown[] = [];
  for (const withHidden of [true, false]) {
    const opened = await open(withHidden, "tomas");
    answers.push(
      JSON.parse(
        JSON.stringify((await door(opened)) ?? null)
          .replace(/"(asOf|now)":("[^"]*"|\d+)/g, '"$1":0')
          .replace(/"id":\d+/g, '"id":0')
          .replace(/\d{2}:\d{2}(?=[",])/g, "00:00"),
      ),
    );
    await dropDatabase();
  }
  return answers as [unknown, unknown];
}

const act =
  (id: ActId, asked: object) =>
  async ({ em, desk }: World) => {
    try {
      return await perform(id, { em, desk, clock }, asked);
    } catch (error) {
      if (error instanceof Refused) return { status: error.status, problems: error.problems };
      throw error;
    }
  };
const api =
  (sentence: string) =>
  ({ em, token }: World) =>
    apiAnswer(em, clock, token, { sentence });
const shown = ["key", "title", "status", "assignee", "project", "sprint", "parent"].map((id) => [
  id,
]);

/** Every door a name, a key or a count could slip through. */
const DOORS: [string, (world: World) => Promise<unknown>][] = [
  ["the item page of a hidden item", ({ em, desk }) => loadItem(em, "S1", desk)],
  ["the item page of one that links to it", ({ em, desk }) => loadItem(em, "A2", desk)],
  ["the item page of one whose parent it is", ({ em, desk }) => loadItem(em, "A1", desk)],
  ["the history of one that was in the hidden project", ({ em, desk }) => loadItem(em, "A3", desk)],
  [
    "changing it",
    ({ em, desk }) =>
      changeItems(em, clock, desk, [{ key: "S1", field: "assignee", to: null, expected: null }]),
  ],
  [
    "a question that names a hidden project",
    act("readQuestion", { question: "open items of Secret refit" }),
  ],
  [
    "a question with a part of its name",
    act("readQuestion", { question: "how many items are in the secret refit project by assignee" }),
  ],
  [
    "a question with a word near its name",
    act("readQuestion", { question: "items of Secrat refit" }),
  ],
  ["the quick box, by key", ({ em, desk }) => find(em, desk, "S1")],
  ["the quick box, by title", ({ em, desk }) => find(em, desk, "Gate")],
  [
    "completion of projects",
    async ({ desk }) => completeSentence("count items where project is ", 29, desk.view),
  ],
  [
    "completion of people",
    async ({ desk }) => completeSentence("count items where assignee is ", 30, desk.view),
  ],
  [
    "completion of sprints",
    async ({ desk }) => completeSentence("count items where sprint is ", 28, desk.view),
  ],
  [
    "did you mean, of a project",
    async ({ desk }) => parseSentence('count items where project is "Secret refat"', desk.view),
  ],
  [
    "the name of a hidden project",
    async ({ desk }) => parseSentence('count items where project is "Secret refit"', desk.view),
  ],
  [
    "the name of a hidden person",
    async ({ desk }) => parseSentence('count items where assignee is "Wim Hidden"', desk.view),
  ],
  [
    "the login of a hidden person",
    async ({ desk }) => parseSentence("count items where assignee is wim", desk.view),
  ],
  [
    "the picker of projects",
    act("values", {
      definition: { kind: "list", subject: { id: "items" }, showing: [], sorts: [] },
      field: ["project"],
    }),
  ],
  [
    "the picker of people",
    act("values", {
      definition: { kind: "list", subject: { id: "items" }, showing: [], sorts: [] },
      field: ["assignee"],
    }),
  ],
  [
    "the picker of parents",
    act("values", {
      definition: { kind: "list", subject: { id: "items" }, showing: [], sorts: [] },
      field: ["parent"],
    }),
  ],
  [
    "records with every telling column",
    act("records", {
      definition: { kind: "list", subject: { id: "items" }, showing: [], sorts: [] },
      showing: shown,
      sorts: [],
      offset: 0,
      limit: 100,
    }),
  ],
  ["the API: totals", api("count items")],
  ["the API: not set groups", api("count items by project")],
  [
    "the API: as it stood while it was in the hidden project",
    api("count items by project as it stood on 2026-11-02"),
  ],
  ["the API: parents", api("count items by parent")],
  ["the API: through a parent", api("count items by parent's title")],
  ["the API: moves and their old values", api("count moves by old value")],
  ["the API: moves through their item", api("count moves by item")],
  ["the API: a hidden key", api("list items where key is S1")],
  ["the API: a hidden project by name", api('count items where project is "Secret refit"')],
  [
    "the API: records of a group that is not there",
    ({ em, token }) =>
      apiRecords(em, clock, token, { sentence: "count items by project", group: ["Secret refit"] }),
  ],
];

test.each(DOORS)(
  "%s: what is hidden and what does not exist get the same answer",
  async (_name, door) => {
    const [hidden, absent] = await knock(door);
    expect(hidden).toEqual(absent);
  },
);

test("an administrator sees all of it", async () => {
  const { em, desk, token } = await open(true, "runa");
  expect(await loadItem(em, "S1", desk)).toMatchObject({ key: "S1" });
  expect(
    await apiAnswer(em, clock, token, { sentence: 'count items where project is "Secret refit"' }),
  ).toMatchObject({ body: { total: { value: 1 } } });
  await dropDatabase();
});

test("a report about a hidden project that somebody shared says nothing of it, and counts nothing", async () => {
  const { em, desk } = await open(true, "runa");
  const parsed = parseSentence('count items where project is "Secret refit" by sprint', desk.view);
  const saved = await saveReport(em, desk.viewer, desk.view, {
    name: "Theirs",
    definition: parsed.ok ? parsed.value : null,
    dress: PLAIN_DRESS,
    forEveryone: true,
  });
  const person = await withConnection(
    em,
    async (client) =>
      (await client.query<{ id: number }>("SELECT id FROM people WHERE login = 'tomas'")).rows[0]
        .id,
  );
  const tomas = await deskOf(em, (await loadViewer(em, person))!, clock);
  const told = JSON.stringify(
    await perform("tile", { em, desk: tomas, clock }, { report: saved.ok ? saved.value.id : 0 }),
  );
  expect(told).not.toMatch(/Secret|Wim/);
  expect(told).toContain('"value":"0"');
  await dropDatabase();
});

test("changing an item writes one move, in step with item and spans, and only over what was seen", async () => {
  const { em, desk } = await open(true, "tomas");
  const ids = await withConnection(em, async (client) =>
    Object.fromEntries(
      (await client.query<{ name: string; id: number }>("SELECT name, id FROM statuses")).rows.map(
        (row) => [row.name, String(row.id)],
      ),
    ),
  );
  let now = NOW;
  const ticking: Clock = { now: () => (now += 60_000_000) };
  const change = (to: string, expected: string) =>
    changeItems(em, ticking, desk, [{ key: "A1", field: "status", to, expected }]);
  expect(await change(ids["Signed off"], ids.Logged)).toMatchObject({
    value: { changed: [{ key: "A1", from: ids.Logged, to: ids["Signed off"] }], left: [] },
  });
  expect(await change(ids.Logged, ids.Logged)).toMatchObject({
    value: { changed: [], left: [{ key: "A1", why: "somebody changed its status meanwhile" }] },
  });
  expect(await change(ids.Logged, ids["Signed off"])).toMatchObject({
    value: { changed: [{ key: "A1" }] },
  });
  const [row] = await withConnection(
    em,
    async (client) =>
      (
        await client.query<{ moves: number; spans: number; reopened: number; agree: boolean }>(
          `SELECT (SELECT count(*)::int FROM moves m WHERE m.item_id = i.id) AS moves, (SELECT count(*)::int FROM state_spans s WHERE s.item_id = i.id) AS spans, i.reopened, (SELECT s.status_id = i.status_id AND s.reopened = i.reopened FROM state_spans s WHERE s.item_id = i.id AND s.valid_to = 'infinity') AS agree FROM items i WHERE key = 'A1'`,
        )
      ).rows,
  );
  expect(row).toEqual({ moves: 2, spans: 3, reopened: 1, agree: true });
  expect(
    await changeItems(em, clock, desk, [
      { key: "A1", field: "status", to: null, expected: ids.Logged },
    ]),
  ).toMatchObject({ ok: false });
  expect(
    await changeItems(em, clock, desk, [{ key: "A1", field: "title", to: "1", expected: null }]),
  ).toMatchObject({ ok: false, problems: [{ code: "item.field" }] });
  await dropDatabase();
});

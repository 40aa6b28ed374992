import { SMTPServer } from "smtp-server";
import { PLAIN_DRESS } from "@/core/definition";
import { parseInstant } from "@/core/time";
import {
  claimDelivery,
  importBundle,
  moveDelivery,
  readBundleFiles,
  unitOfWork,
  type EntityManager,
} from "@/data";
import { newSession, withConnection } from "@/data/database";
import type { Drawer } from "@/server/render/drawer";
import { saveReport } from "@/server/library/reports";
import { listMailings, saveMailing, sendDue } from "@/server/mail/mailings";
import { listMails, openMailRoom } from "@/server/mail/mailRoom";
import { listNotices } from "@/server/reports/notes";
import type { Desk } from "@/server/viewer/viewpoint";
import { GOLDEN_BUNDLE } from "../golden/load";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor, reportOf } from "../support/desk";

/** Mailings whose worker, mail server or connection dies at every place: nothing is lost, nothing goes out twice. */
let at = Date.parse("2026-11-24T15:30:00Z");
const clock = { now: () => at * 1000 };
const MINUTE = 60_000;
let em: EntityManager;
let builder: Desk;
let report: number;
let room: Awaited<ReturnType<typeof openMailRoom>> | null = null;
let failsToDraw = false;
const drawer: Drawer = {
  draw: async () => {
    if (failsToDraw) throw new Error("the browser is gone");
    return new TextEncoder().encode("pdf");
  },
  drawBriefing: async ({ title }) => new TextEncoder().encode(`pdf of ${title}`),
};

beforeAll(async () => {
  em = await freshDatabase("deliveries");
  const now = parseInstant("2026-11-24T15:30:00Z")!;
  await importBundle(em, await readBundleFiles(GOLDEN_BUNDLE), { now });
  await withConnection(em, (client) =>
    client.query("UPDATE people SET email = login || '@saltmarsh.example'"),
  );
  builder = await deskFor(em, "ines", clock);
  const saved = await saveReport(em, builder.viewer, builder.view, {
    name: "Each morning",
    definition: reportOf("count items where status is open by priority as bars", builder),
    dress: PLAIN_DRESS,
  });
  if (!saved.ok) throw new Error("not saved");
  report = saved.value.id;
});
afterAll(dropDatabase);

beforeEach(async () => {
  await withConnection(em, (client) => client.query("DELETE FROM mailings"));
  await withConnection(em, (client) => client.query("DELETE FROM mail_messages"));
  await open();
  failsToDraw = false;
});
afterEach(async () => {
  await room?.close();
  room = null;
});

async function open(): Promise<void> {
  room = await openMailRoom(0);
  process.env.GRAND_TALLY_SMTP = String(room.port);
}
const away = async () => {
  await room?.close();
  room = null;
};

/** A mailing to the builder, due now. */
async function due(): Promise<number> {
  const saved = await saveMailing(em, clock, builder.viewer, {
    kind: "report",
    target: report,
    every: "day",
    on: 1,
    at: "07:30",
    people: [builder.viewer.person],
    teams: [],
    skipEmpty: false,
    paper: "A4",
    across: true,
  });
  if (!saved.ok) throw new Error(saved.problems[0].message);
  const set = (client: { query: (text: string, values: unknown[]) => Promise<unknown> }) =>
    client.query("UPDATE mailings SET next_at = $1 WHERE id = $2", [new Date(at), saved.value]);
  await withConnection(em, set);
  return saved.value;
}
const send = () => sendDue(em, clock, drawer);
const mails = async () => (await listMails(em, null)).length;
const said = async () => (await listMailings(em, builder))[0].lastSaid;
const states = async () => {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ state: string }>("SELECT state FROM deliveries ORDER BY id"),
  );
  return rows.map(({ state }) => state);
};
/** Takes a mail on as another worker would, and dies. */
const takenOn = async () => {
  failsToDraw = true;
  const opened = await openedWithoutSending();
  failsToDraw = false;
  const claim = await claimDelivery(em, new Date(at), new Date(at + 5 * MINUTE));
  if (!claim) throw new Error(`nothing to take on of ${opened}`);
  return claim;
};
/** Opens the slot; its mail could not be made, and waits for its next try, which has come. */
async function openedWithoutSending(): Promise<number> {
  const opened = await send();
  at += MINUTE;
  return opened;
}

test("two workers at once open a slot once and send each mail once", async () => {
  await due();
  const opened = await Promise.all(
    [await newSession(), await newSession(), await newSession()].map((one) =>
      sendDue(one, clock, drawer),
    ),
  );
  expect(opened.reduce((sum, n) => sum + n, 0)).toBe(1);
  expect(await mails()).toBe(1);
  expect(await states()).toEqual(["sent"]);
  expect(await said()).toBe("sent to 1");
});

test("a slot and its rows are one unit: of one that fails nothing is left, and it is still due", async () => {
  const id = await due();
  const { openSlot } = await import("@/data");
  const broken = unitOfWork(em, async (unit) => {
    await openSlot(unit, id, new Date(at), new Date(at + MINUTE));
    throw new Error("the machine died");
  });
  await expect(broken).rejects.toThrow("the machine died");
  expect(await states()).toEqual([]);
  expect(await send()).toBe(1);
  expect(await mails()).toBe(1);
});

test("who dies while a mail is made has sent nothing: it is made again when their time is over, and not before", async () => {
  await due();
  await takenOn();
  await send();
  expect([await mails(), await states()]).toEqual([0, ["making"]]);
  expect(await said()).toBe("sent to 0; 1 on the way");
  at += 6 * MINUTE;
  await send();
  expect([await mails(), await states()]).toEqual([1, ["sent"]]);
});

test("who dies after the mail was handed over has sent it: the mail room is asked, and it does not go twice", async () => {
  await due();
  await send();
  // As if the answer of the mail server had not been noted any more.
  await withConnection(em, (client) =>
    client.query("UPDATE deliveries SET state = 'sending', try_at = $1", [
      new Date(at + 5 * MINUTE),
    ]),
  );
  at += 6 * MINUTE;
  await send();
  expect([await mails(), await states()]).toEqual([1, ["sent"]]);
});

test("who dies before the mail was handed over has not sent it: it goes out, once", async () => {
  await due();
  const claim = await takenOn();
  const isMine = await moveDelivery(em, claim, "making", {
    state: "sending",
    messageId: "<never@handed.over>",
    tryAt: new Date(at + 5 * MINUTE),
  });
  expect(isMine).toBe(true);
  at += 6 * MINUTE;
  await send();
  await send();
  expect([await mails(), await states()]).toEqual([1, ["sent"]]);
});

test("who comes back after their time is over moves nothing: it is somebody else's by now", async () => {
  await due();
  const claim = await takenOn();
  at += 6 * MINUTE;
  await send();
  expect(await moveDelivery(em, claim, "making", { state: "sending" })).toBe(false);
  expect([await mails(), await states()]).toEqual([1, ["sent"]]);
});

test("a mail server that is away is tried again with growing pauses, and its coming back is enough", async () => {
  await due();
  await away();
  await send();
  expect(await said()).toMatch(
    /^sent to 0; the mail server could not be reached for 1, tried again \d\d:\d\d$/,
  );
  const waited: number[] = [];
  let last = at;
  for (let minute = 0; minute < 40; minute++) {
    const before = (await attempts())[0];
    at += MINUTE;
    await send();
    if ((await attempts())[0] > before) {
      waited.push((at - last) / MINUTE);
      last = at;
    }
  }
  expect(waited).toEqual([1, 5, 25]);
  await open();
  at += 125 * MINUTE;
  await send();
  expect([await mails(), await states()]).toEqual([1, ["sent"]]);
});

test("after the last try it is given up, and whoever made the mailing is told", async () => {
  await due();
  await away();
  for (const pause of [0, 1, 5, 25, 120]) {
    at += pause * MINUTE;
    await send();
  }
  expect(await states()).toEqual(["refused"]);
  expect(await said()).toContain("it was tried 5 times");
  expect((await listNotices(em, builder.viewer)).map(({ words }) => words)).toContain(
    "A mailing did not go out to everybody: the mail server could not be reached.",
  );
});

test("an address that the mail server refuses is said with its reason, and the others are served", async () => {
  await away();
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ["STARTTLS", "AUTH"],
    onRcptTo: ({ address }, _session, done) =>
      done(
        address.startsWith("ines")
          ? Object.assign(new Error("no such mailbox"), { responseCode: 550 })
          : undefined,
      ),
    onData: (stream, _session, done) => {
      stream.resume();
      stream.on("end", () => done());
    },
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", () => resolve()));
  const address = server.server.address();
  process.env.GRAND_TALLY_SMTP = String(typeof address === "object" ? address!.port : 0);
  const id = await due();
  const other = (await deskFor(em, "tove", clock)).viewer.person;
  await withConnection(em, (client) =>
    client.query("UPDATE mailings SET people = people || $1::int WHERE id = $2", [other, id]),
  );
  await send();
  expect((await states()).sort()).toEqual(["refused", expect.stringMatching(/sent|unseen/)]);
  expect(await said()).toContain("no such mailbox");
  await new Promise<void>((resolve) => server.close(() => resolve()));
});

async function attempts(): Promise<number[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ attempts: number }>("SELECT attempts FROM deliveries ORDER BY id"),
  );
  return rows.map((row) => row.attempts);
}

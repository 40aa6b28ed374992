import { plainText } from "@/core/briefing";
import { newSession, withConnection } from "@/data/database";
import { sendDue } from "@/server/mail/mailings";
import { listMails, loadAttachment, openMailRoom } from "@/server/mail/mailRoom";
import { dropDatabase } from "../support/database";
import { deskFor } from "../support/desk";
import {
  as,
  beginMoneyRooms,
  clock,
  em,
  enterDone,
  heron,
  NOW,
  projectNamed,
  whyNot,
} from "../support/moneyRooms";

/** What briefings say, to whom, and what becomes of words that somebody wrote in them. */
beforeAll(() => beginMoneyRooms("briefings"));
afterAll(dropDatabase);

describe("briefings", () => {
  let id: number;
  const read = async (login: string, briefing = id) => as(login, "briefing", { id: briefing });
  const textOf = async (login: string, part: string, briefing = id) =>
    plainText((await read(login, briefing)).parts.find((one) => one.id === part)?.blocks ?? []);

  test("a briefing is made, written in, and its figures stay live", async () => {
    id = await as("cal", "newBriefing", { kind: "project", target: heron });
    const { version, kept, title } = await read("cal");
    expect(title).toBe("Heron refit: where it stands");
    const said =
      "Today {sum of amount of cost entries where project is this project and spent on until today} are spent.";
    const parts = [...kept, { id: "own", title: "In Cal's own words", words: said }];
    await as("cal", "saveBriefing", { id, version, title, parts });
    expect(await textOf("cal", "own")).toMatch(/^Today €37\s?023\.34 are spent\.$/);
    expect(await textOf("bram", "own")).toBe("Today not yours to see are spent.");
    expect(await textOf("bram", "money")).toBe("Money is not yours to see.");
    expect(await whyNot("pell", "briefing", { id })).toBe("There is nothing here.");
  });

  test("two who write at once: the later hears of it, and nothing is overwritten", async () => {
    const { version, kept, title } = await read("cal");
    await as("cal", "saveBriefing", { id, version, title: "Heron, again", parts: kept });
    expect(await whyNot("ines", "saveBriefing", { id, version, title, parts: kept })).toMatch(
      /^Somebody else has written/,
    );
    expect(await whyNot("bram", "saveBriefing", { id, version, title, parts: kept })).toBe(
      "There is nothing here.",
    );
  });

  test("frozen, it reads as it did, tells what moved, and takes it when asked", async () => {
    const frozen = await as("cal", "freezeBriefing", { id, on: "2026-11-24", title: "November" });
    const before = await textOf("cal", "open items", frozen);
    await enterDone("2026-11-24", "61");
    const now = await read("cal", frozen);
    const progress = now.parts.find((part) => part.id === "progress");
    expect(plainText(progress!.blocks)).toMatch(/52/);
    expect(progress!.moved).toContainEqual(
      expect.objectContaining({ key: "actual percent", now: expect.stringMatching(/^61/) }),
    );
    expect(await textOf("cal", "open items", frozen)).toBe(before);
    await as("cal", "countAgain", { id: frozen, version: now.version });
    expect(await textOf("cal", "progress", frozen)).toMatch(/61/);
    await enterDone("2026-11-24", null);
    expect((await read("bram", frozen)).isAnew).toBe(true);
    expect((await read("ines", frozen)).isAnew).toBe(false);
  });

  test("the next one tells what changed since the last that was frozen", async () => {
    await as("cal", "freezeBriefing", { id, on: "2026-10-31", title: "October" });
    const { parts } = await read("cal");
    expect(parts.find((part) => part.id === "since")?.title).toBe("Since 31 October");
    const list = await as("gil", "briefings", { of: { kind: "project", target: heron } });
    expect(list.map((line) => [line.title, line.frozenOn])).toContainEqual([
      "October",
      "2026-10-31",
    ]);
    expect(await as("pell", "briefings", {})).toEqual([]);
  });

  test("own words over a made part are kept, and what the generator would write is offered", async () => {
    const { version, kept, title, parts } = await read("cal");
    const made = parts.find((part) => part.id === "progress")!;
    const changed = kept.map((part) =>
      part.id === "progress" ? { ...part, words: "We are slow.", madeThen: made.madeText! } : part,
    );
    await as("cal", "saveBriefing", { id, version, title, parts: changed });
    expect((await read("cal")).parts.find((part) => part.id === "progress")?.wouldSay).toBeNull();
    await enterDone("2026-11-23", "55");
    const later = (await read("cal")).parts.find((part) => part.id === "progress")!;
    expect(plainText(later.blocks)).toBe("We are slow.");
    expect(plainText(later.wouldSay!)).toMatch(/55/);
    await enterDone("2026-11-23", null);
  });

  test("templates are an administrator's", async () => {
    const parts = [{ id: "verdict", made: "verdict" }];
    const template = { kind: "project" as const, name: "Short", parts };
    expect(await whyNot("cal", "saveTemplate", template)).toBe("There is nothing here.");
    const made = await as("ines", "saveTemplate", template);
    const short = await as("ines", "newBriefing", {
      kind: "project",
      target: heron,
      template: made,
    });
    expect((await read("ines", short)).parts.map((part) => part.id)).toEqual(["verdict"]);
    await as("ines", "dropTemplate", { id: made });
  });

  test("is mailed to each as they may read it, and not at all to who does not see the project", async () => {
    const room = await openMailRoom(0);
    process.env.GRAND_TALLY_SMTP = String(room.port);
    try {
      await withConnection(em, (client) => client.query("DELETE FROM mail_messages"));
      const { view } = await deskFor(em, "cal", clock);
      const idOf = (login: string) => view.catalog.names.named("person", login)[0].id;
      const client = (await deskFor(em, "pell", clock)).viewer.person;
      await as("cal", "saveMailing", {
        kind: "briefing",
        target: id,
        every: "day",
        at: "07:30",
        people: [idOf("cal"), idOf("bram"), client],
        teams: [],
        skipEmpty: false,
        now: true,
      });
      await withConnection(em, (one) =>
        one.query("UPDATE mailings SET next_at = $1", [new Date(NOW / 1000)]),
      );
      await sendDue(await newSession(), clock, {
        draw: () => Promise.reject(new Error("none")),
        drawBriefing: async (drawn, viewer) => Buffer.from(`${drawn.id} for ${viewer}`),
      });
      const mails = await listMails(em, null);
      const textFor = (login: string) =>
        mails.find((mail) => mail.to.includes(`${login}@saltmarsh.example`))?.text ?? "";
      expect(mails).toHaveLength(2);
      expect(textFor("cal")).toMatch(/€37/);
      expect(textFor("bram")).toMatch(/Money is not yours to see/);
      expect(textFor("bram")).not.toMatch(/€/);
      for (const { to, attachments } of mails) {
        const [file] = attachments;
        expect(file).toMatchObject({
          name: expect.stringMatching(/\.pdf$/),
          type: "application/pdf",
        });
        const { bytes } = (await loadAttachment(em, file.id, null))!;
        const login = to[0].split("@")[0];
        expect(Buffer.from(bytes).toString()).toBe(`${id} for ${idOf(login)}`);
      }
      expect(
        await whyNot("cal", "saveMailing", {
          kind: "briefing",
          target: 99_999,
          every: "day",
          at: "07:30",
          people: [idOf("cal")],
          teams: [],
          skipEmpty: false,
        }),
      ).toBe("There is no such thing to mail.");
    } finally {
      await room.close();
    }
  });

  test("a manager mails those of their own projects, also as a member; nobody else of them does", async () => {
    const quay = await projectNamed("New quay");
    const theirs = await as("gil", "newBriefing", { kind: "project", target: quay });
    const { viewer } = await deskFor(em, "gil", clock);
    const mailing = (target: number) => ({
      kind: "briefing" as const,
      target,
      every: "week" as const,
      on: 5,
      at: "16:00",
      people: [viewer.person],
      teams: [],
      skipEmpty: false,
    });
    expect((await read("gil", theirs)).mayMail).toBe(true);
    const made = await as("gil", "saveMailing", mailing(theirs));
    expect((await as("gil", "mailings", {})).map((line) => line.id)).toContain(made);
    await as("gil", "dropMailing", { id: made });
    expect((await read("gil", id)).mayMail).toBe(false);
    for (const [login, target] of [
      ["gil", id],
      ["bram", id],
      ["gil", 99_999],
    ] as const)
      expect(await whyNot(login, "saveMailing", mailing(target))).toBe(
        "Members read mailings; ask a builder to make one.",
      );
    expect(await whyNot("gil", "saveMailing", { ...mailing(1), kind: "report" })).toBe(
      "Members read mailings; ask a builder to make one.",
    );
    await as("gil", "dropBriefing", { id: theirs });
  });

  test("who made one and does not see its project any more reads it no longer", async () => {
    const frozen = await as("cal", "freezeBriefing", { id, on: "2026-11-24", title: "Hidden" });
    const { viewer } = await deskFor(em, "pell", clock);
    await withConnection(em, (client) =>
      client.query("UPDATE briefings SET owner_id = $1 WHERE id = $2", [viewer.person, frozen]),
    );
    expect(await whyNot("pell", "briefing", { id: frozen })).toBe("There is nothing here.");
    expect(await as("pell", "briefings", {})).toEqual([]);
  });

  test("a frozen one reads on when its project is gone", async () => {
    const frozen = await as("ines", "freezeBriefing", { id, on: "2026-11-24", title: "Last" });
    await withConnection(em, (client) =>
      client.query("UPDATE briefings SET target_id = 999999 WHERE id = $1", [frozen]),
    );
    const last = await read("ines", frozen);
    expect(last.isGone).toBe(true);
    expect(plainText(last.parts.find((part) => part.id === "verdict")!.blocks)).toMatch(/stuck/);
    expect(await whyNot("bram", "briefing", { id: frozen })).toBe("There is nothing here.");
  });
});

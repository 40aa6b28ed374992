import { plainText } from "@/core/briefing";
import { addDays } from "@/core/time";
import { withConnection } from "@/data/database";
import { listMails, openMailRoom } from "@/server/mail/mailRoom";
import { dropDatabase } from "../support/database";
import {
  as,
  beginMoneyRooms,
  em,
  enterDone,
  heron,
  projectNamed,
  whyNot,
} from "../support/moneyRooms";

/** What is entered in the rooms of projects by hand, by those who may and those who may not. */
beforeAll(() => beginMoneyRooms("projectRooms"));
afterAll(dropDatabase);

const figureOf = async (login: string, says: string): Promise<string> => {
  const { shown } = await as(login, "says", { says, here: { thing: "project", id: heron } });
  return shown.kind === "count" ? (shown.answer.total[0].value ?? "–") : "no count";
};

describe("hours", () => {
  const WEEK = "2026-11-23";
  const book = (minutes: number, was: number, more: object = {}) => ({
    on: { item: "E1" },
    day: "2026-11-24",
    billable: true,
    minutes,
    was,
    ...more,
  });
  const lineOf = async (login: string) =>
    (await as(login, "hours", { from: WEEK })).lines.find((line) => line.item?.key === "E1");

  test("are booked, corrected with who and when, and taken away again", async () => {
    expect(await as("bram", "bookHours", book(90, 0))).toEqual({ asks: null });
    expect(await lineOf("bram")).toMatchObject({ minutes: [0, 90, 0, 0, 0, 0, 0], billable: true });
    expect(
      await figureOf(
        "gil",
        "sum of minutes of time entries where person is bram and worked on today",
      ),
    ).toBe("90");
    await as("bram", "bookHours", book(30, 90));
    expect((await lineOf("bram"))?.corrected[1]).toMatch(/^corrected by Bram Okoro on Tue 24 Nov/);
    await as("bram", "bookHours", book(0, 30));
    expect(await lineOf("bram")).toBeUndefined();
    const { rows } = await withConnection(em, (client) =>
      client.query("SELECT minutes::int, deleted FROM time_entry_changes ORDER BY id"),
    );
    expect(rows).toEqual([
      { minutes: 90, deleted: false },
      { minutes: 30, deleted: true },
    ]);
  });

  test("of two windows, the later hears what stands there by now", async () => {
    await as("bram", "bookHours", book(60, 0));
    expect(await whyNot("bram", "bookHours", book(120, 0))).toMatch(/^Something else stands there/);
    await as("bram", "bookHours", book(0, 60));
  });

  test("that look like a slip are asked back, and kept if meant", async () => {
    const ahead = book(60, 0, { day: "2026-11-27" });
    expect((await as("bram", "bookHours", ahead)).asks).toBe("Fri 27 Nov 2026 is still to come.");
    expect((await as("bram", "hours", { from: WEEK })).lines.some((line) => line.minutes[4])).toBe(
      false,
    );
    expect(await as("bram", "bookHours", { ...ahead, isMeant: true })).toEqual({ asks: null });
    await as("bram", "bookHours", { ...ahead, minutes: 0, was: 60 });
    await as("bram", "bookHours", book(20 * 60, 0));
    const more = { ...book(5 * 60, 0), on: { project: heron } };
    expect((await as("bram", "bookHours", more)).asks).toMatch(/more than 24 hours/);
    await as("bram", "bookHours", book(0, 20 * 60));
  });

  test("are not booked on what one may not see, nor by clients", async () => {
    expect(await whyNot("bram", "bookHours", book(60, 0, { on: { item: "NONE-1" } }))).toMatch(
      /^There is no item/,
    );
    expect(await whyNot("bram", "bookHours", book(60, 0, { on: { project: 99_999 } }))).toMatch(
      /^There is no such project/,
    );
    expect(await whyNot("pell", "hours", { from: WEEK })).toMatch(/^Clients book no hours/);
  });

  test("stand beside what a day can hold", async () => {
    const { days } = await as("cal", "hours", { from: WEEK });
    expect(days).toHaveLength(7);
    expect(days.map((day) => day.capacity > 0)).toEqual([
      false,
      true,
      true,
      true,
      true,
      false,
      false,
    ]);
    expect(days[0].absence).toBeGreaterThan(0);
    expect(days[6].capacity).toBe(0);
  });
});

describe("milestones and progress", () => {
  test("are entered by the manager, and slip from their first date", async () => {
    const id = await as("cal", "saveMilestone", {
      project: heron,
      name: "Sea trial",
      due: "2026-12-01",
      reached: null,
    });
    await as("cal", "saveMilestone", {
      project: heron,
      was: { id, name: "Sea trial", due: "2026-12-01", reached: null },
      name: "Sea trial",
      due: "2026-12-08",
      reached: null,
    });
    expect(
      (await as("cal", "milestones", { project: heron })).find((one) => one.id === id),
    ).toMatchObject({ baseline: "2026-12-01", due: "2026-12-08" });
    await as("cal", "dropMilestone", { project: heron, id });
  });

  test("of two who change a milestone at once, the later hears what stands there", async () => {
    const id = await as("cal", "saveMilestone", {
      project: heron,
      name: "Launch",
      due: "2026-12-01",
      reached: null,
    });
    const was = { id, name: "Launch", due: "2026-12-01", reached: null };
    const to = (due: string, seen = was) =>
      whyNot("cal", "saveMilestone", {
        project: heron,
        was: seen,
        name: "Launch",
        due,
        reached: null,
      });
    const both = await Promise.all([to("2026-12-03"), to("2026-12-04")]);
    expect(both.filter((one) => one === "done")).toHaveLength(1);
    const kept = (await as("cal", "milestones", { project: heron })).find((one) => one.id === id)!;
    expect(both.find((one) => one !== "done")).toBe(
      `Somebody changed it meanwhile: Launch, due on ${kept.due === "2026-12-03" ? 3 : 4} Dec 2026. Keep yours again to put it in that place.`,
    );
    expect(await to("2026-12-09", { ...was, due: kept.due! })).toBe("done");
    await as("cal", "dropMilestone", { project: heron, id });
    expect(await to("2026-12-10")).toBe("There is nothing here.");
  });

  test("of two who enter the same day at once, neither overwrites the other; what is not given stays", async () => {
    const on = "2026-11-20";
    const enter = (actual: string, was: { actual: string; planned: null } | null) =>
      whyNot("cal", "saveProgress", { project: heron, on, actual, was });
    const both = await Promise.all([enter("41", null), enter("42", null)]);
    expect(both.filter((one) => one === "done")).toHaveLength(1);
    expect(both.find((one) => one !== "done")).toMatch(
      /^Somebody changed it meanwhile: nothing planned and 4[12] % done\./,
    );
    const line = async () =>
      (await as("cal", "progress", { project: heron })).find((one) => one.on === on);
    const { actual } = (await line())!;
    await as("cal", "saveProgress", {
      project: heron,
      on,
      planned: "50",
      was: { actual, planned: null },
    });
    expect(await line()).toEqual({ on, actual, planned: "50" });
    await as("cal", "saveProgress", {
      project: heron,
      on,
      planned: null,
      actual: null,
      was: { actual, planned: "50" },
    });
    expect(await line()).toBeUndefined();
  });

  test("wrong ones are told at their place", async () => {
    const given = { project: heron, name: "Hull open", due: null, reached: null };
    expect(await whyNot("cal", "saveMilestone", given)).toMatch(/^There is a milestone/);
    expect(
      await whyNot("cal", "saveMilestone", { ...given, name: "X", reached: "2027-01-01" }),
    ).toMatch(/in the future/);
    expect(await whyNot("bram", "saveMilestone", { ...given, name: "X" })).toMatch(
      /^Only its manager/,
    );
    expect(
      await whyNot("cal", "saveProgress", {
        project: heron,
        on: "2026-12-24",
        actual: "60",
        was: null,
      }),
    ).toMatch(/today or earlier/);
    expect(
      await whyNot("cal", "saveProgress", {
        project: heron,
        on: "2026-11-24",
        actual: "160",
        was: null,
      }),
    ).toMatch(/not understood/);
  });

  test("progress moves what is worked out of it", async () => {
    const gap = async () => {
      const { parts } = await as("cal", "project", { project: heron });
      return plainText(parts.find((part) => part.id === "progress")!.blocks);
    };
    const before = await gap();
    await enterDone("2026-11-23", "58,5");
    expect(await gap()).toMatch(/^On 23 Nov 59/);
    await enterDone("2026-11-23", null);
    expect(await gap()).toBe(before);
  });
});

describe("the timeline", () => {
  const parts = async (login: string, more: object = {}) => {
    const told = await as(login, "timeline", { projects: [heron], ...more });
    return told.projects[0]?.parts ?? [];
  };

  test("has milestones and items with a date, with what was first agreed, and what holds up what", async () => {
    const told = await as("cal", "timeline", { projects: [heron] });
    const titles = told.projects[0].parts.map((part) => part.title);
    expect(titles).toEqual(
      expect.arrayContaining(["Hull open", "Engine in", "Fit the engine bed"]),
    );
    const engine = told.projects[0].parts.find((part) => part.title === "Engine in");
    expect(engine).toMatchObject({ plan: "2026-11-10", due: "2026-11-20", done: null });
    expect(told.off).toEqual([6, 7]);
  });

  test("a moved item keeps its first date, and moves back", async () => {
    const bed = (await parts("cal")).find((part) => part.id === "E1")!;
    const change = (to: string | null, expected: string | null) =>
      as("cal", "changeItems", { changes: [{ key: "E1", field: "due", to, expected }] });
    const { changed } = await change("2026-11-27", bed.kept);
    expect((await parts("cal")).find((part) => part.id === "E1")).toMatchObject({
      due: "2026-11-27",
      plan: bed.due,
    });
    await change(changed[0].from, changed[0].to);
    expect((await parts("cal")).find((part) => part.id === "E1")?.due).toBe(bed.due);
  });

  test("a moved project takes along what it is told to, in one act, and goes back", async () => {
    const shown = async () => (await as("cal", "timeline", { projects: [heron] })).projects[0];
    const before = await shown();
    expect(before.mayMove).toBe(true);
    const [item, stone] = (["item", "milestone"] as const).map((kind) =>
      before.parts.find((one) => one.kind === kind && !one.done && one.due)!,
    );
    const was = { starts: before.starts, ends: before.ends };
    const to = { starts: before.starts, ends: "2026-12-25" };
    const move = {
      project: heron,
      was,
      to,
      items: [{ key: item.id, to: addDays(item.due!, 7), expected: item.kept }],
      milestones: [
        { id: Number(stone.id), to: addDays(stone.due!, 7), expected: stone.due! },
        { id: 99_999, to: "2026-12-25", expected: "2026-12-18" },
      ],
    };
    const done = await as("cal", "moveProject", move);
    expect(done.left).toEqual([{ key: "A milestone", why: "somebody changed it meanwhile" }]);
    const after = await shown();
    expect(after.ends).toBe("2026-12-25");
    for (const part of [item, stone])
      expect(after.parts.find((one) => one.id === part.id && one.kind === part.kind)).toMatchObject(
        {
          due: addDays(part.due!, 7),
          plan: part.plan,
        },
      );
    expect(await whyNot("cal", "moveProject", move)).toMatch(
      /^Somebody moved it meanwhile: it lies from .* to 25 Dec 2026 now\.$/,
    );
    await as("cal", "moveProject", {
      project: heron,
      was: to,
      to: was,
      items: done.items.map((one) => ({ key: one.key, to: one.from, expected: one.to })),
      milestones: done.milestones.map((one) => ({ id: one.id, to: one.from, expected: one.to })),
    });
    expect(await shown()).toEqual(before);
    // What cannot be moved leaves nothing half-done.
    expect(
      await whyNot("cal", "moveProject", {
        ...move,
        items: [{ key: item.id, to: "the day after", expected: item.kept }],
      }),
    ).toBe('"the day after" is not a date.');
    expect(await whyNot("cal", "moveProject", { ...move, to: { ...to, ends: "2020-01-01" } })).toBe(
      "A project cannot end before it starts.",
    );
    expect(await whyNot("bram", "moveProject", move)).toMatch(/^Only its manager/);
    expect(await shown()).toEqual(before);
    expect((await as("bram", "timeline", { projects: [heron] })).projects[0].mayMove).toBe(false);
  });

  test("shows nothing of projects that one does not see, and moves nothing as it stood", async () => {
    expect((await as("pell", "timeline", { projects: [heron] })).projects).toEqual([]);
    const stood = await parts("cal", { stood: "2026-11-20" });
    expect(stood.length).toBeGreaterThan(0);
    expect(stood.some((part) => part.mayMove)).toBe(false);
  });
});

describe("weekly words", () => {
  const quay = async () => projectNamed("New quay");
  let room: Awaited<ReturnType<typeof openMailRoom>>;
  beforeAll(async () => {
    room = await openMailRoom(0);
    process.env.GRAND_TALLY_SMTP = String(room.port);
  });
  afterAll(() => room.close());

  test("who has not handed in is asked once", async () => {
    const project = await quay();
    const [owed] = await as("ines", "owed", { project });
    expect(owed).toMatchObject({ name: "New quay", week: "2026-W47", remindedAt: null });
    const { to } = await as("ines", "remind", { project, week: owed.week });
    const [mail] = await listMails(em, null);
    expect(mail.subject).toMatch(/^New quay: your word for the week of 16 Nov 2026/);
    expect(await whyNot("cal", "remind", { project, week: owed.week })).toBe(
      `${to} was asked for this week already.`,
    );
    expect((await as("ines", "owed", { project }))[0].remindedAt).not.toBeNull();
  });

  test("a word that is handed in ends it", async () => {
    const project = await quay();
    const word = { project, week: "2026-W47", done: "Piles", next: "", worry: "" };
    expect(await whyNot("gil", "handInWord", { ...word, health: "splendid" })).toMatch(
      /not one of/,
    );
    expect(
      await whyNot("gil", "handInWord", { ...word, week: "2026-W60", health: "well" }),
    ).toMatch(/^There is no week/);
    expect(await whyNot("pell", "handInWord", { ...word, health: "well" })).not.toBe("done");
    await as("gil", "handInWord", { ...word, health: "well" });
    expect((await as("ines", "owed", { project })).map((line) => line.week)).not.toContain(
      "2026-W47",
    );
    expect(await whyNot("ines", "remind", { project, week: "2026-W47" })).toMatch(/^Nobody owes/);
  });
});

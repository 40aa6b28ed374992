import { fine, refused, type Result } from "@/core/base";
import type { DayNoteLine, FindingLine, NoticeLine } from "@/contract/room";
import { type EntityManager, type Viewer, withConnection } from "@/data";
import { ISO, isAdministrator, mayBuild } from "../library/kept";

/** Dated notes on time charts: of one report, of one service, or everywhere. */
export async function listDayNotes(
  em: EntityManager,
  viewer: Viewer,
  report: number | null,
): Promise<DayNoteLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<DayNoteLine>(
      `SELECT n.id, n.day::text, n.words, n.service_id AS service, n.report_id AS report, p.name AS owner, (n.owner_id = $1 OR $2) AS "mayChange" FROM day_notes n JOIN people p ON p.id = n.owner_id WHERE n.report_id IS NULL OR n.report_id = $3 ORDER BY n.day, n.id`,
      [viewer.person, isAdministrator(viewer), report],
    );
    return rows;
  });
}

export async function saveDayNote(
  em: EntityManager,
  viewer: Viewer,
  note: { id?: number; day: string; words: string; service: number | null; report: number | null },
): Promise<Result<number>> {
  if (!mayBuild(viewer))
    return refused({
      code: "note.right",
      message: "Members read day notes; ask a builder to write one.",
    });
  const values = [note.day, note.words, note.service, note.report, viewer.person];
  return withConnection(em, async (client) => {
    const { rows } =
      note.id === undefined
        ? await client.query<{ id: number }>(
            "INSERT INTO day_notes (day, words, service_id, report_id, owner_id) VALUES ($1, $2, $3, $4, $5) RETURNING id",
            values,
          )
        : await client.query<{ id: number }>(
            "UPDATE day_notes SET day = $1, words = $2, service_id = $3, report_id = $4 WHERE id = $6 AND (owner_id = $5 OR $7) RETURNING id",
            [...values, note.id, isAdministrator(viewer)],
          );
    return rows[0]
      ? fine(rows[0].id)
      : refused({ code: "note.right", message: "This note is somebody else's." });
  });
}

export async function dropDayNote(em: EntityManager, viewer: Viewer, id: number): Promise<true> {
  await withConnection(em, (client) =>
    client.query("DELETE FROM day_notes WHERE id = $1 AND (owner_id = $2 OR $3)", [
      id,
      viewer.person,
      isAdministrator(viewer),
    ]),
  );
  return true;
}

/** What was found while exploring a report: words, a picture, and the address that leads back. */
export async function listFindings(em: EntityManager, report: number): Promise<FindingLine[]> {
  return withConnection(
    em,
    async (client) =>
      (
        await client.query<FindingLine>(
          `SELECT f.id, f.words, f.address, f.picture, p.name AS owner, ${ISO("f.created_at")} AS at FROM findings f JOIN people p ON p.id = f.owner_id WHERE f.report_id = $1 ORDER BY f.id DESC LIMIT 100`,
          [report],
        )
      ).rows,
  );
}

/** How the picture of a finding begins: it brings its drawing with it, and leads to no address. */
const PICTURE = "data:image/svg+xml;base64,";

export async function keepFinding(
  em: EntityManager,
  viewer: Viewer,
  finding: { report: number | null; words: string; address: string; picture: string | null },
): Promise<Result<number>> {
  if (!finding.address.startsWith("/") || finding.address.startsWith("//"))
    return refused({
      code: "finding.address",
      message: "A finding leads back into this application.",
    });
  if (finding.picture !== null && !finding.picture.startsWith(PICTURE))
    return refused({
      code: "finding.picture",
      message: "The picture of a finding is a drawing of its own.",
    });
  return withConnection(em, async (client) =>
    fine(
      (
        await client.query<{ id: number }>(
          "INSERT INTO findings (report_id, words, address, picture, owner_id) VALUES ($1, $2, $3, $4, $5) RETURNING id",
          [finding.report, finding.words, finding.address, finding.picture, viewer.person],
        )
      ).rows[0].id,
    ),
  );
}

/** What somebody is to know, told once: such as values of a fold that are not placed yet. */
export async function listNotices(em: EntityManager, viewer: Viewer): Promise<NoticeLine[]> {
  return withConnection(
    em,
    async (client) =>
      (
        await client.query<NoticeLine>(
          "SELECT about, words, href FROM notices WHERE person_id = $1 AND seen_at IS NULL ORDER BY at DESC LIMIT 50",
          [viewer.person],
        )
      ).rows,
  );
}

export async function noticeSeen(em: EntityManager, viewer: Viewer, about: string): Promise<true> {
  await withConnection(em, (client) =>
    client.query("UPDATE notices SET seen_at = now() WHERE person_id = $1 AND about = $2", [
      viewer.person,
      about,
    ]),
  );
  return true;
}

export async function tellOnce(
  em: EntityManager,
  person: number,
  notice: NoticeLine,
): Promise<void> {
  await withConnection(em, (client) =>
    client.query(
      "INSERT INTO notices (person_id, about, words, href) VALUES ($1, $2, $3, $4) ON CONFLICT DO NOTHING",
      [person, notice.about, notice.words, notice.href],
    ),
  );
}

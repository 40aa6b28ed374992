import { withConnection, type EntityManager } from "../database";
import { ISO } from "./instants";
import { loadMoves, type KeptMove } from "./storedRecords";

export interface LinkRow {
  readonly link: string;
  readonly key: string;
  readonly title: string;
  readonly outward: boolean;
}
export interface CommentRow {
  readonly at: string;
  readonly by: number | null;
  readonly text: string;
  readonly internal: boolean;
}

/** What stands on the page of an item beside its fields: its moves, its links to items of some projects (null: all) or of none, its comments. */
export async function loadItemPage(
  em: EntityManager,
  id: number,
  projects: readonly number[] | null,
  withInternal: boolean,
): Promise<{ moves: readonly KeptMove[]; links: LinkRow[]; comments: CommentRow[] }> {
  return withConnection(em, async (client) => {
    const moves = (await loadMoves(client, [id])).get(id) ?? [];
    const links = await client.query<LinkRow>(
      `SELECT l.link, i.key, i.title, l.from_id = $1 AS outward FROM links l JOIN items i ON i.id = CASE WHEN l.from_id = $1 THEN l.to_id ELSE l.from_id END
       WHERE (l.from_id = $1 OR l.to_id = $1) AND i.deleted_at IS NULL AND ($2::int[] IS NULL OR i.project_id IS NULL OR i.project_id = ANY($2::int[])) ORDER BY l.id`,
      [id, projects],
    );
    const comments = await client.query<CommentRow>(
      `SELECT ${ISO("at")} AS at, by_id AS by, text, internal FROM comments WHERE item_id = $1 AND ($2 OR NOT internal) ORDER BY comments.at DESC LIMIT 50`,
      [id, withInternal],
    );
    return { moves, links: links.rows, comments: comments.rows };
  });
}

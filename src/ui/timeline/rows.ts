import type { TimelinePart, TimelineProject } from "@/contract/projects";

/** The names at the left, the days over the rows, and the rows, in px. */
export const NAMES = 276;
export const HEAD = 48;
export const ROW = { project: 34, part: 28 } as const;

/** Projects and their parts, each with the middle of its row. */
export type Rows = readonly {
  readonly project: TimelineProject;
  readonly y: number;
  readonly parts: readonly { readonly part: TimelinePart; readonly y: number }[];
}[];

/** The rows of a timeline, from the top. */
export function rowsOf(
  projects: readonly TimelineProject[],
  isOpen: (project: number) => boolean,
): Rows {
  let y = HEAD;
  const place = (height: number) => {
    y += height;
    return y - height / 2;
  };
  return projects.map((project) => ({
    project,
    y: place(ROW.project),
    parts: isOpen(project.id) ? project.parts.map((part) => ({ part, y: place(ROW.part) })) : [],
  }));
}

export const heightOf = (rows: Rows): number =>
  rows.reduce((sum, row) => sum + ROW.project + row.parts.length * ROW.part, HEAD);

/**
 * The projects as they fit on sheets of a height: one that goes over the end of a sheet goes on, under its own name, on the next.
 * @param height of a sheet, in px, with its head
 */
export function chunksOf(
  projects: readonly TimelineProject[],
  isOpen: (project: number) => boolean,
  height: number,
): readonly (readonly TimelineProject[])[] {
  const chunks: TimelineProject[][] = [];
  let left = 0;
  const begin = () => {
    chunks.push([]);
    left = height - HEAD;
  };
  for (const project of projects) {
    const parts = isOpen(project.id) ? [...project.parts] : [];
    do {
      if (left < ROW.project + (parts.length ? ROW.part : 0)) begin();
      left -= ROW.project;
      const fitting = parts.splice(0, Math.max(0, Math.floor(left / ROW.part)));
      left -= fitting.length * ROW.part;
      chunks.at(-1)!.push({ ...project, parts: fitting });
    } while (parts.length > 0);
  }
  return chunks;
}

import { act } from "./act";
import { IdAsk, NothingAsk } from "./shared";

import { z } from "zod";

export const DayNoteAsk = z.object({
  id: z.int().optional(),
  day: z.string().regex(/^\d{4}-\d\d-\d\d$/),
  words: z.string().trim().min(1).max(200),
  service: z.int().nullable(),
  report: z.int().nullable(),
});

export const FindingAsk = z.object({
  report: z.int().nullable(),
  words: z.string().trim().min(1).max(500),
  address: z.string().max(10_000),
  picture: z.string().max(400_000).nullable(),
});

export const AboutAsk = z.object({ about: z.string().max(400) });

export interface NoticeLine {
  readonly about: string;
  readonly words: string;
  readonly href: string;
}

export interface DayNoteLine {
  readonly id: number;
  readonly day: string;
  readonly words: string;
  readonly service: number | null;
  readonly report: number | null;
  readonly owner: string;
  readonly mayChange: boolean;
}

export interface FindingLine {
  readonly id: number;
  readonly words: string;
  readonly address: string;
  readonly picture: string | null;
  readonly owner: string;
  readonly at: string;
}

export const noteActs = {
  dayNotes: act(IdAsk).answers<DayNoteLine[]>(),
  saveDayNote: act(DayNoteAsk).answers<number>(),
  dropDayNote: act(IdAsk).answers<true>(),
  findings: act(IdAsk).answers<FindingLine[]>(),
  keepFinding: act(FindingAsk).answers<number>(),
  notices: act(NothingAsk).answers<NoticeLine[]>(),
  noticeSeen: act(AboutAsk).answers<true>(),
};

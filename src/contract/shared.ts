import { z } from "zod";

export const Kind = z.enum(["report", "dashboard", "filter"]);

export const KeptAsk = z.object({ kind: Kind, id: z.int() });

export const NothingAsk = z.object({});

export const IdAsk = z.object({ id: z.int() });

import { z } from "zod";

export const SignInAsk = z.object({ login: z.string().max(200), password: z.string().max(200) });

export const InviteAcceptAsk = z.object({
  secret: z.string(),
  password: z.string().max(400),
  endsTokens: z.boolean().default(false),
});

export const FirstAsk = z.object({
  workspace: z.string().max(200),
  login: z.string().max(100),
  name: z.string().max(200),
  password: z.string().max(400),
});

/** Whom the sign-in page of a demo workspace offers, and their password. */
export interface DemoFacts {
  readonly password: string;
  readonly people: readonly {
    readonly login: string;
    readonly name: string;
    readonly role: string;
    readonly team: string;
    readonly says: string;
  }[];
}

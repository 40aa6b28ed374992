import { createHash, randomBytes } from "node:crypto";

/** A secret for a cookie, a link or a program: 32 random bytes. Only its hash is stored. */
export const newSecret = (): string => randomBytes(32).toString("base64url");
export const hashOf = (secret: string): string => createHash("sha256").update(secret).digest("hex");

import { pino } from "pino";

/** Failures go here, whole; readers get a sentence. */
export const log = pino({ level: process.env.LOG_LEVEL ?? "info" });

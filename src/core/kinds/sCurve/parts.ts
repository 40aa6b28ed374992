import { partCodec } from "../../definition";

/** A stretch of time, by its place. */
export const sCurveParts = partCodec({ bucket: { sign: "b", takes: "index" } });

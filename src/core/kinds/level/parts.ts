import { partCodec } from "../../definition";

/** The level at the end of a bucket. */
export const levelParts = partCodec({ bucket: { sign: "b", takes: "index" } });

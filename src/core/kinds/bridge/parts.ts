import { partCodec } from "../../definition";

/** A part of a bridge, by its place. */
export const bridgeParts = partCodec({ part: { sign: "p", takes: "index" } });

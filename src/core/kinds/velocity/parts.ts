import { partCodec } from "../../definition";

/** A sprint, by its identity. */
export const velocityParts = partCodec({ sprint: { sign: "v", takes: "index" } });

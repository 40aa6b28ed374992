/** The leaves that the room of any sprint or release has beside its own. */
export const THING_LEAVES = { board: "Board", items: "Items", briefings: "Briefings" } as const;
export type ThingLeafId = keyof typeof THING_LEAVES;

export const isThingLeaf = (leaf: string): leaf is ThingLeafId => leaf in THING_LEAVES;

import type { ViewerWord } from "./value.schema";

export type { Value, ViewerWord } from "./value.schema";

export const VIEWER_WORDS: readonly ViewerWord[] = ["me", "my team", "my teams", "my projects"];

import type { roomActs as contracts } from "@/contract/rooms";
import { settled } from "../refused";
import { showRelease } from "../releases/releases";
import { setRoomBoard } from "../rooms/boards";
import type { ActsOf } from "./act";

export const roomActs: ActsOf<typeof contracts> = {
  release: { run: ({ em, desk }, { release, stood }) => showRelease(em, desk, release, stood) },
  setRoomBoard: {
    changes: true,
    run: async ({ em, desk }, given) => settled(await setRoomBoard(em, desk, given)),
  },
};

import { later } from "../kit";

export { AnsweredTile } from "./AnsweredTile";
export { deckMoved, laidIn, withoutDeck } from "./decks";
export { movedUp, rowsOf, settleTiles, tileAfterKey } from "./layout";
export { TileBody } from "./TileBody";
export type { BegunTile } from "./ReportBody";
/** Markdown comes when there is some. */
export const TextTile = later(() => import("./TextTile"), "TextTile");

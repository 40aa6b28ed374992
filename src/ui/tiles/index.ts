export { AnsweredTile } from "./AnsweredTile";
export { RowsTable } from "./tileStyle";
export { deckMoved, laidIn, withoutDeck } from "./decks";
export { filterTitle } from "./filterTitle";
export { movedUp, rowsOf, settleTiles, tileAfterKey } from "./layout";
export { TextTile } from "./later";
export { TileBody } from "./TileBody";
export type { BegunTile } from "./ReportBody";

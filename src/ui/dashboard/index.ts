export { Dashboards } from "./Dashboards";
export { Board } from "./Board";
export { narrowingsAt } from "./narrowing/narrowed";
export { Wall } from "./wall/Wall";
export { laidIn } from "./decks";
export { rowsOf, settleTiles } from "./layout";
export { AnsweredTile } from "./tiles/AnsweredTile";
export { TextTile } from "./tiles/TextTile";

import { anything } from "../sql";
export const wrong = anything;

import { rows } from "../data";
export const wrong = rows;

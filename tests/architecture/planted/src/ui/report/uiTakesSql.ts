import { anything } from "../../core/sql";
export const wrong = anything;

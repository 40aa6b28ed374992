import { anything } from "../relation";
export const wrong = anything;

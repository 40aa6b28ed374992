import { innocent } from "../kit";
export const wrong = innocent;

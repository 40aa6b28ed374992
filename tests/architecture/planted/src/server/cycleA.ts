import { wrong as other } from "./cycleB";
export const wrong = () => other;

import { wrong as other } from "./cycleA";
export const wrong = () => other;

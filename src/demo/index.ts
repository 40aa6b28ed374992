export { makeWorld, type WorldOptions } from "./world";
export { FIGURES, DEMO_PASSWORD } from "./cast";
export { harbourStep, type HarbourStep } from "./harbour";
export { Random } from "./random";

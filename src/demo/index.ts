export { makeWorld, type WorldOptions } from "./world";
export { FIGURES, DEMO_PASSWORD } from "./cast";

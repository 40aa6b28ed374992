export { AnsweredFigure, SaidFigure } from "./SaidFigure";
export { Blocks, type Drawn } from "./Blocks";
export { useOpening as useSaidOpening, type Opening } from "./useOpening";
export { HealthSign } from "./HealthSign";

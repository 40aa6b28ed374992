export const button = 1;
export { planned as innocent } from "../../core/kinds";

import { deep } from "../sql/deep";
export const wrong = deep;

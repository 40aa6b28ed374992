export const anything = 1;

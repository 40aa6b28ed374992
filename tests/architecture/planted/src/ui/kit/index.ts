export const button = 1;

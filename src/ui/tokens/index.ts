export * from "./tokens";
export { GlobalStyle, HIDDEN } from "./GlobalStyle";

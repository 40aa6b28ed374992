export { AskBox } from "./AskBox";

export { SignIn } from "./SignIn";
export { Invited } from "./Invited";
export { First } from "./First";

import { apiRead } from "@/server/web";
import { programDoor } from "../door";

export const POST = programDoor(apiRead);

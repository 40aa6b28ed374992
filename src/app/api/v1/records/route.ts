import { apiRecords } from "@/server/web";
import { programDoor } from "../door";

export const POST = programDoor(apiRecords);

import { openItemsOf } from "../openItems";

export const openItems = openItemsOf({ subject: "items", where: "project is this project" });

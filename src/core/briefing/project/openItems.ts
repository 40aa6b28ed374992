import { openItemsOf } from "../openItems";
import { OF } from "./asked";

export const openItems = openItemsOf(OF);

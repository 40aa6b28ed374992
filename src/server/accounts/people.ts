import { everyone } from "@/data";

/** Everyone, for administrators. */
export const listPeople = everyone;

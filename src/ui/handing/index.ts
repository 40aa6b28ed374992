import { later, laterDialog } from "../kit";

export const Sharing = laterDialog(() => import("./Sharing"), "Sharing");
export const Mailing = laterDialog(() => import("./Mailing"), "Mailing");
export const Download = laterDialog(() => import("./Download"), "Download");
export const Handed = later(() => import("./Handed"), "Handed");

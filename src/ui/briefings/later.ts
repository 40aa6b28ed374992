"use client";
import { later } from "../kit";

/** What other rooms show of briefings comes when it is first called for. */
export const BriefingsLeaf = later(() => import("./BriefingsLeaf"), "BriefingsLeaf");

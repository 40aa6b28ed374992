"use client";
import { later } from "../kit";

/** What other rooms show of briefings comes when it is first called for. */
/** A briefing as it is read, for paper. */
export const BriefingPage = later(() => import("./BriefingPage"), "BriefingPage");
export const BriefingsLeaf = later(() => import("./BriefingsLeaf"), "BriefingsLeaf");

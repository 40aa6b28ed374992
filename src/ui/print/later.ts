"use client";
import { later } from "../kit";

/** The code of a whole dashboard comes when one is printed. */
export const BoardPrint = later(() => import("./BoardPrint"), "BoardPrint");
/** That of a briefing, too. */
export const BriefingPrint = later(() => import("./BriefingPrint"), "BriefingPrint");

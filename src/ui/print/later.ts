"use client";
import { later } from "../kit";

/** The code of a whole dashboard comes when one is printed. */
export const BoardPrint = later(() => import("./BoardPrint"), "BoardPrint");

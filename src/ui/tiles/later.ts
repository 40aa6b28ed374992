"use client";
import { later } from "../kit";

/** Markdown comes when there is some. */
export const TextTile = later(() => import("./TextTile"), "TextTile");

/** What stands beside a number tells days and amounts: it comes with the first number. */
export const BesideNumber = later(() => import("./BesideNumber"), "BesideNumber");

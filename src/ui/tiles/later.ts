"use client";
import { later } from "../kit";

/** Markdown comes when there is some. */
export const TextTile = later(() => import("./TextTile"), "TextTile");

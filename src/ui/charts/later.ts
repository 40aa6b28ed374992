"use client";
import { later } from "../kit";

/** Drawings that a page has only once they are chosen. */
export const BurnUp = later(() => import("./BurnUp"), "BurnUp");
export const Fan = later(() => import("./Fan"), "Fan");

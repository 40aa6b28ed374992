"use client";
import { createContext } from "react";

/** The zone of the workspace: everybody reads the same clock, wherever they sit. */
export const Zone = createContext("UTC");

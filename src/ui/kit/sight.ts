"use client";
import { createContext } from "react";
import type { Sight } from "@/core/figure";

/** What the viewer does not see all of; null for those who see everything. */
export const SightContext = createContext<Sight | null>(null);

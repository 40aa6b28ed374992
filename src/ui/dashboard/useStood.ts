"use client";
import { parseDay } from "@/core/time";
import { useAddress, type InAddress } from "../kit";

const STOOD: InAddress<string> = {
  name: "stood",
  plain: "",
  read: (text) => (parseDay(text) ? text : ""),
  write: (day) => day || null,
};

/** The day as of which a dashboard is looked at; it lives in the address. */
export const useStood = () => useAddress(STOOD);

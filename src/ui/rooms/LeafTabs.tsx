"use client";
import { Tab, TabList } from "react-aria-components";

interface LeafTabsProps {
  readonly label: string;
  /** What each leaf is called, in their order. */
  readonly leaves: Readonly<Record<string, string>>;
}

/** The names of a room's leaves, each leading to its own. */
export const LeafTabs = ({ label, leaves }: LeafTabsProps) => (
  <TabList aria-label={label}>
    {Object.entries(leaves).map(([id, words]) => (
      <Tab key={id} id={id}>
        {words}
      </Tab>
    ))}
  </TabList>
);

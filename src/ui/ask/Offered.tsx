"use client";
import {
  Circle,
  CircleDot,
  CornerDownRight,
  LayoutDashboard,
  ScrollText,
  Ticket,
} from "lucide-react";
import { Header, ListBox, ListBoxItem, ListBoxSection } from "react-aria-components";
import { Others } from "./askStyle";
import type { Option, Section } from "./sections";

const ICONS = {
  item: Ticket,
  report: ScrollText,
  dashboard: LayoutDashboard,
  sentence: CornerDownRight,
  taken: CircleDot,
  other: Circle,
} as const;

/** The option that the arrow keys have marked, while the keys stay in the field. */
export function markedIn(field: HTMLElement, options: readonly Option[]): Option | undefined {
  const marked = document.getElementById(field.getAttribute("aria-activedescendant") ?? "");
  return options.find(({ id }) => id === marked?.dataset.key);
}

/** Other readings, other questions, and what is there already. */
export function Offered({
  sections,
  onChoose,
}: {
  sections: readonly Section[];
  onChoose: (option: Option) => void;
}) {
  const options = sections.flatMap((section) => section.options);
  return (
    <Others>
      <ListBox
        className="list"
        aria-label="Found"
        selectionMode="none"
        onAction={(id) => {
          const option = options.find((one) => one.id === id);
          if (option) onChoose(option);
        }}
      >
        {sections.map(({ key, head, tail, options: offered }) => (
          <ListBoxSection key={key}>
            <Header className="head">
              {head} <i>{tail}</i>
            </Header>
            {offered.map(({ id, words, about, kind, figure }) => {
              const Icon = ICONS[kind];
              return (
                <ListBoxItem key={id} id={id} className={`one ${kind}`} textValue={words}>
                  <Icon aria-hidden />
                  <span>
                    {words} {figure && about && <em>{about}</em>}
                  </span>
                  {figure ? <b>{figure}</b> : <em>{about}</em>}
                </ListBoxItem>
              );
            })}
          </ListBoxSection>
        ))}
      </ListBox>
    </Others>
  );
}

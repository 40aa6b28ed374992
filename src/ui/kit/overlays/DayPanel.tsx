"use client";
import {
  getLocalTimeZone,
  parseDate,
  toCalendarDate,
  today,
  type CalendarDate,
  type DateValue,
} from "@internationalized/date";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { useState } from "react";
import {
  Calendar,
  CalendarCell,
  CalendarGrid,
  CalendarGridBody,
  CalendarGridHeader,
  CalendarHeaderCell,
  DateField,
  DateInput,
  DateSegment,
  FieldError,
  Heading,
  I18nProvider,
  Label,
} from "react-aria-components";
import styled from "styled-components";
import { dayText, type Day } from "@/core/time";
import { Button } from "../Button";

const Typed = styled(DateField)`
  padding: 12px 14px 8px;
  .label {
    display: block;
    font-size: 12.5px;
    color: var(--ink-2);
    margin-bottom: 3px;
  }
  .day {
    display: flex;
    align-items: center;
    height: 32px;
    padding: 0 10px;
    background: var(--salt);
    box-shadow: inset 0 -2px 0 var(--plum);
    font-variant-numeric: tabular-nums;
  }
  .part {
    padding: 2px;
    outline: none;
  }
  .part[data-placeholder] {
    color: var(--ink-3);
  }
  .part[data-focused] {
    background: var(--plum);
    color: var(--on-plum);
    box-shadow: none !important;
  }
  .error {
    display: block;
    color: var(--alarm);
    font-size: 12.5px;
    line-height: 17px;
    margin-top: 3px;
  }
`;
const Month = styled(Calendar)`
  padding: 0 14px 14px;
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    padding-bottom: 4px;
  }
  h2 {
    font: 540 17px/24px var(--serif);
  }
  th {
    font-weight: 400;
    font-size: 12px;
    color: var(--ink-3);
    height: 24px;
  }
  .cell {
    width: 34px;
    height: 30px;
    display: grid;
    place-items: center;
    cursor: pointer;
    outline: none;
    font-variant-numeric: tabular-nums;
  }
  .cell[data-outside-month] {
    visibility: hidden;
  }
  .cell[data-disabled] {
    color: var(--ink-3);
    cursor: default;
  }
  .cell[data-hovered] {
    background: var(--mallow);
  }
  .cell[data-focus-visible] {
    box-shadow: inset 0 0 0 2px var(--plum) !important;
  }
  .cell[data-selected] {
    background: var(--plum);
    color: var(--on-plum);
  }
`;

interface DayPanelProps {
  readonly label: string;
  readonly value: Day;
  readonly min?: Day | undefined;
  readonly max?: Day | undefined;
  readonly onChange: (day: Day) => void;
  readonly close: () => void;
}

const dateOf = (day: Day | undefined) => (day ? parseDate(day) : undefined);

/** A day typed in parts, or taken from a month; what is typed counts when Enter is pressed or the calendar shows it. */
export function DayPanel({ label, value, min, max, onChange, close }: DayPanelProps) {
  const [typed, setTyped] = useState<DateValue | null>(dateOf(value) ?? null);
  const [shown, setShown] = useState<CalendarDate>(
    dateOf(value || max) ?? today(getLocalTimeZone()),
  );
  const first = dateOf(min);
  const last = dateOf(max);
  const isOutside = (day: DateValue) =>
    Boolean((first && day.compare(first) < 0) || (last && day.compare(last) > 0));
  const outside = typed && isOutside(typed) ? outsideWords(min, max) : null;
  const take = (day: unknown) => {
    onChange(String(day));
    close();
  };
  return (
    // The order of the parts is that of the words in which days are written.
    <I18nProvider locale="en-GB">
      <div
        // The parts of a typed day keep their keys to themselves, so that Enter is heard before them.
        onKeyDownCapture={(event) => {
          const isPart = (event.target as HTMLElement).role === "spinbutton";
          if (event.key === "Enter" && isPart && typed && !outside) take(typed);
        }}
      >
        <Typed
          autoFocus
          value={typed}
          onChange={(day) => {
            setTyped(day);
            if (day && !isOutside(day)) setShown(toCalendarDate(day));
          }}
          isInvalid={outside !== null}
          validationBehavior="aria"
        >
          <Label className="label">{label}</Label>
          <DateInput className="day">
            {(segment) => <DateSegment className="part" segment={segment} />}
          </DateInput>
          <FieldError className="error">{outside}</FieldError>
        </Typed>
        <Month
          aria-label={label}
          value={typed && !outside ? typed : null}
          minValue={first}
          maxValue={last}
          focusedValue={shown}
          onFocusChange={setShown}
          firstDayOfWeek="mon"
          onChange={take}
        >
          <header>
            <Button slot="previous" $small $icon>
              <ChevronLeft aria-hidden />
            </Button>
            <Heading />
            <Button slot="next" $small $icon>
              <ChevronRight aria-hidden />
            </Button>
          </header>
          <CalendarGrid weekdayStyle="short">
            <CalendarGridHeader>
              {(day) => <CalendarHeaderCell>{day}</CalendarHeaderCell>}
            </CalendarGridHeader>
            <CalendarGridBody>
              {(date) => <CalendarCell className="cell" date={date} />}
            </CalendarGridBody>
          </CalendarGrid>
        </Month>
      </div>
    </I18nProvider>
  );
}

const outsideWords = (min: Day | undefined, max: Day | undefined): string =>
  min && max
    ? `It lies between ${dayText(min)} and ${dayText(max)}.`
    : min
      ? `Not before ${dayText(min)}.`
      : `Not after ${dayText(max!)}.`;

"use client";
import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import type { Bookable, HoursLine, HoursWeek } from "@/contract/hours";
import { addDays, daysText, mondayOf, type Day } from "@/core/time";
import {
  ask,
  AskProblem,
  Button,
  Dialog,
  Empty,
  later,
  Mast,
  Page,
  Purpose,
  tell,
  Title,
  useAddress,
  Waiting,
  type InAddress,
} from "../kit";
import { sameLine, type LineOf } from "./lines";
import { WeekTable } from "./WeekTable";

const AddLine = later(() => import("./AddLine"), "AddLine");

const WEEK: InAddress<string> = {
  name: "week",
  plain: "",
  read: (text) => {
    if (!/^\d{4}-\d\d-\d\d$/.test(text)) throw new Error("no day");
    return text;
  },
  write: (day) => day || null,
};

const Answers = styled.div`
  display: flex;
  gap: 8px;
  justify-content: flex-end;
  margin-top: 14px;
`;

/** What is asked back before it is kept. */
interface AskedBack {
  readonly says: string;
  readonly meant: () => Promise<void>;
}

/** A week of one's own hours on one page; each cell keeps itself as it is left. */
export function HoursRoom({ today }: { today: Day }) {
  const client = useQueryClient();
  const [week, setWeek] = useAddress(WEEK);
  const from = mondayOf(week || today);
  const [added, setAdded] = useState<readonly LineOf[]>([]);
  const [asked, setAsked] = useState<AskedBack | null>(null);
  const key = ["hours", from];
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: ({ signal }) => ask("hours", { from }, signal),
    placeholderData: keepPreviousData,
  });
  const refresh = () => client.invalidateQueries({ queryKey: ["hours"] });
  /** @returns what is wrong with it; null where it is kept, or asked back */
  const book = async (
    line: LineOf,
    day: Day,
    minutes: number,
    was: number,
    isMeant = false,
  ): Promise<string | null> => {
    try {
      const { asks } = await ask("bookHours", {
        on: line.item ? { item: line.item.key } : { project: line.project!.id },
        day,
        billable: line.billable,
        minutes,
        was,
        isMeant,
      });
      if (asks)
        setAsked({
          says: asks,
          meant: async () => {
            const wrong = await book(line, day, minutes, was, true);
            if (wrong) tell(wrong);
          },
        });
      await refresh();
      return null;
    } catch (problem) {
      await refresh();
      return problem instanceof AskProblem ? problem.message : String(problem);
    }
  };
  const copyLast = async () => {
    try {
      tell(await copied(await ask("hours", { from: addDays(from, -7) })));
    } catch (problem) {
      tell((problem as Error).message);
    }
  };
  /** Books what stood in the week before where nothing stands yet. @returns what came of it */
  const copied = async (before: HoursWeek): Promise<string> => {
    let count = 0;
    const wrong: string[] = [];
    for (const line of before.lines)
      for (const [i, minutes] of line.minutes.entries()) {
        const stands = data?.lines.find((one) => sameLine(one, line))?.minutes[i] ?? 0;
        if (minutes === 0 || stands > 0 || addDays(from, i) > today) continue;
        const problem = await book(line, addDays(from, i), minutes, 0);
        if (problem) wrong.push(problem);
        else count += 1;
      }
    if (count === 0) return wrong[0] ?? "Last week has nothing that is not here already.";
    const cells = count === 1 ? "1 cell was" : `${count} cells were`;
    return `${cells} copied from last week; days to come were left.`;
  };
  const add = ({ item, project }: Bookable, billable: boolean) => {
    const line = { item, project, billable };
    if (!lines(data, added).some((one) => sameLine(one, line))) setAdded([...added, line]);
  };
  return (
    <Page>
      <Mast>
        <Title>Your hours</Title>
        <Purpose>{daysText(from, addDays(from, 6))}</Purpose>
        <div className="acts">
          <Button $icon aria-label="The week before" onPress={() => setWeek(addDays(from, -7))}>
            <ChevronLeft aria-hidden />
          </Button>
          <Button isDisabled={from === mondayOf(today)} onPress={() => setWeek("")}>
            This week
          </Button>
          <Button $icon aria-label="The week after" onPress={() => setWeek(addDays(from, 7))}>
            <ChevronRight aria-hidden />
          </Button>
          <Button $look="line" onPress={() => void copyLast()}>
            Copy last week
          </Button>
        </div>
      </Mast>
      {error && !data ? (
        <Empty says={error.message} />
      ) : !data ? (
        <Waiting>Reading …</Waiting>
      ) : (
        <>
          <WeekTable
            key={from}
            week={data}
            lines={lines(data, added)}
            onBook={(line, day, minutes, was) => book(line, day, minutes, was)}
          />
          <AddLine onAdd={add} />
        </>
      )}
      <Dialog
        title="Is that meant?"
        isOpen={asked !== null}
        onOpenChange={(isOpen) => !isOpen && setAsked(null)}
      >
        <p>{asked?.says}</p>
        <Answers>
          <Button onPress={() => setAsked(null)}>No, leave it</Button>
          <Button
            $look="solid"
            autoFocus
            onPress={() => {
              const meant = asked?.meant;
              setAsked(null);
              void meant?.();
            }}
          >
            Yes, keep it
          </Button>
        </Answers>
      </Dialog>
    </Page>
  );
}

/** The lines of a week, and those that were just added and have nothing yet. */
function lines(week: HoursWeek | undefined, added: readonly LineOf[]): readonly HoursLine[] {
  const kept = week?.lines ?? [];
  const none = Array.from({ length: 7 }, () => 0);
  return [
    ...kept,
    ...added
      .filter((line) => !kept.some((one) => sameLine(one, line)))
      .map((line) => ({ ...line, minutes: none, entries: none, corrected: none.map(() => null) })),
  ];
}

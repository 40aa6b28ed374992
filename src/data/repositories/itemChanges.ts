import type { Instant } from "@/core/time";
import { unitOfWork, withConnection, type EntityManager } from "../database";
import { firstChange, loadHistoryRules, touchRecords, writeHistories } from "./histories";
import { loadRecords, withoutColumns, type ItemRecord } from "./storedRecords";

/**
 * Changes items by moves: reads them locked, hands them to whoever decides, and writes those that come back with their
 * histories, as one unit.
 * @param change the records by their identities → those that changed, and when the last of their moves is
 */
export const changeRecords = <T>(
  em: EntityManager,
  ids: readonly number[],
  change: (records: ReadonlyMap<number, ItemRecord>) => {
    readonly changed: readonly ItemRecord[];
    readonly latest: Instant;
    readonly result: T;
  },
): Promise<T> =>
  unitOfWork(em, (unit) =>
    withConnection(unit, async (client) => {
      const records = await loadRecords(client, ids);
      const { changed, latest, result } = change(
        new Map(records.map((record) => [record.id, record])),
      );
      await writeHistories(
        client,
        changed.map((record) => ({
          ...withoutColumns(record),
          since: firstChange(record.moves),
        })),
        await loadHistoryRules(client),
      );
      if (changed.length) await touchRecords(client, latest);
      return result;
    }),
  );

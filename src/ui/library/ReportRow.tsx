"use client";
import type { ReportLine } from "@/contract/library";
import { Ellipsis, Pin, PinOff } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { Fragment } from "react";

import { ask, Button, tell, MenuButton, useMoments } from "../kit";
import { Sketch } from "../report";
import { useKept } from "./useKept";

const boardsText = (boards: number): string =>
  boards === 0 ? "on no dashboard" : boards === 1 ? "on 1 dashboard" : `on ${boards} dashboards`;

/** A report of a shelf: its sentence, whose it is, and what can be done with it. */
export function ReportRow({
  report,
  mayBuild,
  onShare,
}: {
  report: ReportLine;
  mayBuild: boolean;
  onShare: () => void;
}) {
  const moments = useMoments();
  const kept = useKept("report");
  const router = useRouter();
  const copy = async () => {
    try {
      const { definition, dress, purpose, category } = await ask("report", {
        id: report.id,
      });
      const { id } = await ask("saveReport", {
        name: `Copy of ${report.name}`.slice(0, 200),
        purpose,
        category,
        definition,
        dress,
      });
      tell(`Copy of ${report.name} is yours.`);
      router.push(`/reports/${id}`);
    } catch (error) {
      tell((error as Error).message);
    }
  };
  const acts: Record<string, () => void> = {
    copy: () => void copy(),
    share: onShare,
    file: () => location.assign(`/api/definitions/report/${report.id}`),
    bin: () => void kept.bin(report),
  };
  return (
    <li>
      <div className="preview">
        <Sketch shape={report.shape ?? "list"} />
      </div>
      <div style={{ minWidth: 0 }}>
        <Link className="name" href={`/reports/${report.id}`}>
          {report.name}
        </Link>
        {report.category && <span className="category">{report.category}</span>}
        {report.purpose && (
          <div style={{ font: "italic 400 15px/19px var(--serif)", color: "var(--ink-2)" }}>
            {report.purpose}
          </div>
        )}
        <div className="says">
          {report.pieces.map((piece, i) => (
            <Fragment key={i}>
              {i > 0 && piece.text !== "," ? " " : ""}
              {piece.part ? piece.text : <i>{piece.text}</i>}
            </Fragment>
          ))}
        </div>
      </div>
      <div className="who">
        <b>{report.mine ? moments.day(report.mineOpened ?? report.updatedAt) : report.owner}</b>
        <br />
        {boardsText(report.boards)}
      </div>
      <div className="tools">
        <Button
          $icon
          aria-label={report.pinned ? `Unpin ${report.name}` : `Pin ${report.name}`}
          onPress={() => void kept.pin(report)}
        >
          {report.pinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}
        </Button>
        <MenuButton
          label={report.name}
          placement="bottom end"
          button={
            <Button $icon aria-label={`More of ${report.name}`}>
              <Ellipsis aria-hidden />
            </Button>
          }
          entries={[
            mayBuild && { id: "copy", words: "Make a copy", onAction: acts.copy },
            { id: "share", words: "Share", onAction: acts.share },
            { id: "file", words: "Download its definition", onAction: acts.file },
            report.mayChange && { id: "bin", words: "Put it into the bin", onAction: acts.bin },
          ]}
        />
      </div>
    </li>
  );
}

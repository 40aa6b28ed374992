"use client";
import type { OpenedPart } from "@/contract/figures";
import type { Report } from "@/core/kinds";
import { X } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";

import { Button } from "../kit";
import { columnsOf } from "./columns";
import { RecordsTable } from "./RecordsTable";

const Opened = styled.section`
  position: fixed;
  left: 76px;
  right: 0;
  bottom: 0;
  height: 320px;
  background: var(--tide);
  z-index: 12;
  display: flex;
  flex-direction: column;
  box-shadow: var(--shade);
  padding: 8px 22px 0;
  .top {
    display: flex;
    align-items: center;
    gap: 10px;
    height: 36px;
    flex: none;
  }
  .top i {
    width: 13px;
    height: 13px;
    background: var(--brass);
  }
  @media (max-width: 700px) {
    left: 0;
    bottom: 64px;
  }
`;

/** The records of a part, in the columns of its list or else the usual ones. */
export function PartRecords({ report, part }: { report: Report; part: OpenedPart | undefined }) {
  const [sorts, setSorts] = useState("sorts" in report ? report.sorts : []);
  const showing = columnsOf(report);
  return (
    <RecordsTable
      report={report}
      {...(part ? { opened: part } : {})}
      showing={showing}
      sorts={sorts}
      onSort={setSorts}
    />
  );
}

/** The records behind a part of a figure, along the foot of a room that has no drawer of its own. */
export function OpenedRecords({
  title,
  report,
  part,
  onClose,
}: {
  title: string;
  report: Report;
  part: OpenedPart | undefined;
  onClose: () => void;
}) {
  return (
    <Opened aria-label="Records">
      <div className="top">
        <i aria-hidden />
        <b style={{ fontWeight: 650 }}>{title}</b>
        <span style={{ marginLeft: "auto" }} />
        <Button $small $icon aria-label="Close the records" autoFocus onPress={onClose}>
          <X aria-hidden />
        </Button>
      </div>
      <div style={{ background: "var(--tide-2)", flex: 1, minHeight: 0, display: "flex" }}>
        <PartRecords report={report} part={part} />
      </div>
    </Opened>
  );
}

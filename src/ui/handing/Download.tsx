"use client";
import type { OpenedPart } from "@/contract/figures";
import { listsRecords, type Report } from "@/core/kinds";
import { useState } from "react";
import type { Dress } from "@/core/definition";
import { EXPORT_IDS, exportFormats, fileName, whyNotExported, type ExportId } from "@/core/exports";
import { numberText } from "@/core/base";
import type { ExportRequest } from "@/contract/exports";

import { Button, Choice, Choose, Dialog, Notice, saveFile } from "../kit";

export interface DownloadProps {
  readonly report: Report;
  readonly dress: Dress;
  readonly title: string;
  readonly link: string;
  readonly opened?: OpenedPart | undefined;
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** A report as a file: which format, figure or records, which paper; long ones say how far they are, and can be stopped. */
export function Download({ report, dress, title, link, opened, isOpen, onClose }: DownloadProps) {
  const [format, setFormat] = useState<ExportId>("xlsx");
  const [of, setOf] = useState<"figure" | "records">("figure");
  const [paper, setPaper] = useState<"A4" | "Letter">("A4");
  const [way, setWay] = useState<"across" | "upright">("across");
  const [progress, setProgress] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [stop, setStop] = useState<AbortController | null>(null);
  const why = whyNotExported(format, report);
  const isRows = (format === "csv" || format === "tsv") && !listsRecords(report);
  const save = async () => {
    const controller = new AbortController();
    setStop(controller);
    setError(null);
    setProgress("Asking …");
    try {
      const body: ExportRequest = {
        format,
        of: isRows ? of : "records",
        definition: report,
        dress,
        title,
        link,
        ...(opened ? { opened } : {}),
        ...(format === "pdf" ? { page: { paper, across: way === "across" } } : {}),
      };
      const reply = await fetch("/api/export", {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify(body),
        signal: controller.signal,
      });
      if (!reply.ok || !reply.body)
        throw new Error(
          ((await reply.json().catch(() => null)) as { problems?: { message: string }[] } | null)
            ?.problems?.[0]?.message ?? "It could not be made.",
        );
      const rows = Number(reply.headers.get("x-rows") ?? 0);
      const chunks: BlobPart[] = [];
      let bytes = 0;
      let lines = 0;
      for (const reader = reply.body.getReader(); ;) {
        const { done, value } = await reader.read();
        if (done) break;
        chunks.push(value);
        bytes += value.length;
        if (rows) for (const byte of value) if (byte === 10) lines += 1;
        setProgress(
          rows
            ? `${numberText(Math.min(lines, rows))} of ${numberText(rows)} rows`
            : `${numberText(Math.round(bytes / 1024))} kB`,
        );
      }
      saveFile(fileName(title, format), new Blob(chunks, { type: exportFormats[format].type }));
      onClose();
    } catch (problem) {
      if (!controller.signal.aborted) setError((problem as Error).message);
    } finally {
      setProgress(null);
      setStop(null);
    }
  };
  return (
    <Dialog title={`Download ${title}`} isOpen={isOpen} onOpenChange={(open) => !open && onClose()}>
      <div style={{ display: "grid", gap: 10 }}>
        <Choose
          label="As what"
          chosen={[format]}
          onChoose={setFormat}
          options={EXPORT_IDS.map((id) => {
            const not = whyNotExported(id, report);
            return {
              value: id,
              label: exportFormats[id].words,
              about: not ?? exportFormats[id].goodFor,
              isDisabled: not !== null,
            };
          })}
        />
        {isRows && (
          <Choice
            label="What"
            value={of}
            options={[
              ["figure", "the figure"],
              ["records", "the records behind it"],
            ]}
            onChange={setOf}
          />
        )}
        {format === "pdf" && (
          <div style={{ display: "flex", gap: 18 }}>
            <Choice
              label="Paper"
              value={paper}
              options={[
                ["A4", "A4"],
                ["Letter", "Letter"],
              ]}
              onChange={setPaper}
            />
            <Choice
              label="Page"
              value={way}
              options={[
                ["across", "across"],
                ["upright", "upright"],
              ]}
              onChange={setWay}
            />
          </div>
        )}
        {error && <Notice role="alert">{error}</Notice>}
        <div style={{ display: "flex", gap: 8, justifyContent: "flex-end", alignItems: "center" }}>
          {progress && (
            <span role="status" style={{ marginRight: "auto" }}>
              {progress}
            </span>
          )}
          {stop ? (
            <Button onPress={() => stop.abort()}>Stop</Button>
          ) : (
            <Button onPress={onClose}>Leave it</Button>
          )}
          <Button
            $look="solid"
            isDisabled={why !== null || stop !== null}
            onPress={() => void save()}
          >
            Download
          </Button>
        </div>
      </div>
    </Dialog>
  );
}

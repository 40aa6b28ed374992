"use client";
import { isReportTile, type Tile } from "@/core/definition";
import { later } from "../../kit";
import { ReportBody, type ReportBodyProps } from "./ReportBody";
import { Box } from "./tileStyle";

const TextBody = later(() => import("./TextBody"), "TextBody");

/** A tile of whatever kind. */
export function TileBody({ tile, ...shown }: Omit<ReportBodyProps, "tile"> & { tile: Tile }) {
  if (isReportTile(tile)) return <ReportBody tile={tile} {...shown} />;
  return (
    <Box $ground="var(--paper)" aria-label={tile.title || "Words"}>
      {tile.title && (
        <div className="top">
          <h3>{tile.title}</h3>
        </div>
      )}
      <TextBody text={tile.text} />
    </Box>
  );
}

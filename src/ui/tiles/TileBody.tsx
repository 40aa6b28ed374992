"use client";
import { isReportTile, type Tile } from "@/core/definition";
import { TextTile } from "./later";
import { ReportBody, type ReportBodyProps } from "./ReportBody";

/** A tile of whatever kind. */
export const TileBody = ({ tile, ...shown }: Omit<ReportBodyProps, "tile"> & { tile: Tile }) =>
  isReportTile(tile) ? <ReportBody tile={tile} {...shown} /> : <TextTile tile={tile} />;

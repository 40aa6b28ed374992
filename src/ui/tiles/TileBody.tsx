"use client";
import { isReportTile, type Tile } from "@/core/definition";
import { later } from "../kit";
import { ReportBody, type ReportBodyProps } from "./ReportBody";

const TextTile = later(() => import("./TextTile"), "TextTile");

/** A tile of whatever kind. */
export const TileBody = ({ tile, ...shown }: Omit<ReportBodyProps, "tile"> & { tile: Tile }) =>
  isReportTile(tile) ? <ReportBody tile={tile} {...shown} /> : <TextTile tile={tile} />;

import type { Dress } from "@/core/definition";
import type { Report } from "@/core/kinds";

/** The paper of a PDF. */
export interface Paper {
  readonly paper: "A4" | "Letter";
  readonly across: boolean;
}

/** A report as it is drawn on a page of its own. */
export interface DrawnReport {
  readonly report: Report;
  readonly dress: Dress;
  readonly title: string;
  /** The path of the live report. */
  readonly link: string;
  readonly page?: Paper | undefined;
}

/** A briefing as it is printed. */
export interface DrawnBriefing {
  readonly id: number;
  readonly title: string;
  readonly page?: Paper | undefined;
}

/** Draws pages as somebody sees them: a browser, passed in. */
export interface Drawer {
  draw(ask: DrawnReport, format: "pdf" | "png" | "svg", viewer: number): Promise<Uint8Array>;
  drawBriefing(briefing: DrawnBriefing, viewer: number): Promise<Uint8Array>;
}

import { chromium, type Browser, type Page } from "playwright-core";
import type { BoardExportRequest } from "@/contract/boardExports";
import type { EntityManager } from "@/data";
import type { Drawer, Paper } from "./drawer";
import { makePrintJob } from "./printJob";

const PROGRAM = "/usr/bin/chromium";
/** At most two pages at once: a page takes a core. */
const MOST_PAGES = 2;
const READY_MS = 30_000;

let browser: Promise<Browser> | null = null;
let busy = 0;
const waiting: (() => void)[] = [];

function theBrowser(): Promise<Browser> {
  browser ??= chromium
    .launch({
      executablePath: PROGRAM,
      args: [
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--no-first-run",
      ],
    })
    .then((started) => {
      started.on("disconnected", () => (browser = null));
      return started;
    });
  browser.catch(() => (browser = null));
  return browser;
}

/** Ends the browser of this process, if it has one. */
export async function closeBrowser(): Promise<void> {
  const open = await browser?.catch(() => null);
  browser = null;
  await open?.close();
}

async function withPage<T>(work: (page: Page) => Promise<T>): Promise<T> {
  while (busy >= MOST_PAGES) await new Promise<void>((resolve) => waiting.push(resolve));
  busy += 1;
  try {
    const context = await (
      await theBrowser()
    ).newContext({
      viewport: { width: 1060, height: 760 },
      deviceScaleFactor: 2,
      reducedMotion: "reduce",
    });
    try {
      return await work(await context.newPage());
    } finally {
      await context.close();
    }
  } finally {
    busy -= 1;
    waiting.shift()?.();
  }
}

/** The address of the application as this process reaches it. */
export const ownAddress = (): string =>
  process.env.GRAND_TALLY_URL ?? `http://127.0.0.1:${process.env.PORT ?? 4310}`;

/** Draws reports as the application's own print page, in Debian's Chromium. */
export const chromiumDrawer = (em: EntityManager): Drawer => ({
  async draw(ask, format, viewer) {
    const secret = await makePrintJob(em, viewer, {
      report: ask.report,
      dress: ask.dress,
      title: ask.title,
      link: ask.link,
      workings: format === "pdf",
    });
    return withPage(async (page) => {
      const across = ask.page?.across ?? true;
      await openPrint(page, `${secret}?as=${format}&across=${across ? 1 : 0}`);
      if (format === "pdf") return paperOf(page, ask.title, { paper: "A4", ...ask.page, across });
      if (format === "png") return page.locator("[data-figure]").screenshot({ type: "png" });
      return new TextEncoder().encode(await page.evaluate(drawingOf));
    });
  },
  async drawBriefing({ id, title, page: paper }, viewer) {
    const secret = await makePrintJob(em, viewer, { briefing: id });
    return withPage(async (page) => {
      await openPrint(page, secret);
      return paperOf(page, title, { paper: "A4", across: false, ...paper });
    });
  },
});

/** Opens what is to be printed, and waits until all of it is drawn. */
async function openPrint(page: Page, path: string): Promise<void> {
  await page.goto(`${ownAddress()}/print/${path}`, { waitUntil: "load" });
  await page.waitForSelector("[data-ready]", { state: "attached", timeout: READY_MS });
  await page.evaluate(() => document.fonts.ready);
}

const paperOf = (page: Page, title: string, { paper, across }: Paper): Promise<Uint8Array> =>
  page.pdf({
    format: paper,
    landscape: across,
    printBackground: true,
    margin: { top: "14mm", bottom: "16mm", left: "14mm", right: "14mm" },
    displayHeaderFooter: true,
    headerTemplate: "<span></span>",
    footerTemplate: FOOT(title),
  });

/** A whole dashboard as PDF or PNG: as somebody sees it, with their rights. */
export const boardDrawer = (em: EntityManager) => ({
  async draw(board: BoardExportRequest, title: string, viewer: number): Promise<Uint8Array> {
    const secret = await makePrintJob(em, viewer, { board });
    return withPage(async (page) => {
      await page.setViewportSize({ width: 1240, height: 900 });
      await openPrint(page, `${secret}?as=${board.format}`);
      if (board.format === "png") return page.locator("[data-figure]").screenshot({ type: "png" });
      return page.pdf({
        format: "A4",
        landscape: true,
        scale: 0.82,
        printBackground: true,
        margin: { top: "10mm", bottom: "14mm", left: "10mm", right: "10mm" },
        displayHeaderFooter: true,
        headerTemplate: "<span></span>",
        footerTemplate: FOOT(title),
      });
    });
  },
});

const FOOT = (title: string): string =>
  `<div style="width:100%;font:8px sans-serif;color:#5a5266;padding:0 14mm;display:flex;justify-content:space-between"><span>${title.replace(/[<>&]/g, "")}</span><span>page <span class="pageNumber"></span> of <span class="totalPages"></span></span></div>`;

/** The largest drawing of the page as a file of its own: colours and type worked out, so that it needs no style sheet. */
function drawingOf(): string {
  const drawings = [...document.querySelectorAll<SVGSVGElement>("[data-figure] svg")].sort(
    (a, b) =>
      b.getBoundingClientRect().width * b.getBoundingClientRect().height -
      a.getBoundingClientRect().width * a.getBoundingClientRect().height,
  );
  const drawing = drawings[0];
  if (!drawing) return "<svg xmlns='http://www.w3.org/2000/svg'/>";
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const [from, to] = [
    [drawing, ...drawing.querySelectorAll<SVGElement>("*")],
    [copy, ...copy.querySelectorAll<SVGElement>("*")],
  ];
  from.forEach((node, i) => {
    const style = getComputedStyle(node);
    for (const name of [
      "fill",
      "stroke",
      "stroke-width",
      "stroke-dasharray",
      "opacity",
      "font-family",
      "font-size",
      "font-weight",
      "text-anchor",
    ]) {
      const value = style.getPropertyValue(name);
      if (value && value !== "none" && value !== "normal") to[i].setAttribute(name, value);
      else if (value === "none" && (name === "fill" || name === "stroke"))
        to[i].setAttribute(name, "none");
    }
    to[i].removeAttribute("style");
    to[i].removeAttribute("class");
    to[i].removeAttribute("tabindex");
    to[i].removeAttribute("role");
  });
  const NS = "http://www.w3.org/2000/svg";
  const whole = document.createElementNS(NS, "svg");
  const box = drawing.getBoundingClientRect();
  const TOP = 34;
  const make = (name: string, facts: Record<string, string | number>, words?: string) => {
    const node = document.createElementNS(NS, name);
    for (const [fact, value] of Object.entries(facts)) node.setAttribute(fact, String(value));
    if (words !== undefined) node.textContent = words;
    return whole.appendChild(node);
  };
  make("rect", { width: "100%", height: "100%", fill: "#fff" });
  make(
    "text",
    { x: 8, y: 22, "font-family": "serif", "font-size": 18, "font-weight": 600, fill: "#1d1826" },
    document.querySelector("[data-figure] h1")?.textContent ?? "",
  );
  // The legend is words on the page, so it is written anew, line by line as it stands there.
  const entries = [...document.querySelectorAll<HTMLElement>("[data-figure] [data-legend] li")];
  const first = entries[0]?.getBoundingClientRect();
  for (const entry of entries) {
    const at = entry.getBoundingClientRect();
    const swatch = entry.querySelector("i");
    if (swatch)
      make("rect", {
        x: 8 + at.x - first.x,
        y: TOP + at.y - first.y + 3,
        width: 12,
        height: 12,
        fill: getComputedStyle(swatch).backgroundColor,
      });
    make(
      "text",
      {
        x: 8 + at.x - first.x + 19,
        y: TOP + at.y - first.y + 14,
        "font-family": "sans-serif",
        "font-size": 13,
        fill: "#1d1826",
      },
      entry.textContent ?? "",
    );
  }
  const down =
    TOP +
    (entries.length ? entries[entries.length - 1].getBoundingClientRect().bottom - first.y + 8 : 0);
  copy.setAttribute("width", String(box.width));
  copy.setAttribute("height", String(box.height));
  copy.setAttribute("y", String(down));
  if (!copy.getAttribute("viewBox")) copy.setAttribute("viewBox", `0 0 ${box.width} ${box.height}`);
  whole.appendChild(copy);
  const height = down + box.height + 8;
  for (const [fact, value] of Object.entries({
    xmlns: NS,
    width: box.width,
    height,
    viewBox: `0 0 ${box.width} ${height}`,
  }))
    whole.setAttribute(fact, String(value));
  return new XMLSerializer().serializeToString(whole);
}

import "@fontsource/newsreader/400.css";
import "@fontsource/newsreader/600.css";
import "@fontsource/hanken-grotesk/400.css";
import "@fontsource/hanken-grotesk/600.css";
import { notFound } from "next/navigation";
import { connection } from "next/server";
import { loadPrint } from "../../print";
import { BoardPrint, BriefingPrint, PrintPage } from "@/ui/print";

export const metadata = { title: "Print" };

interface Props {
  readonly params: Promise<{ secret: string }>;
  readonly searchParams: Promise<{ as?: string; across?: string }>;
}

/** A report as a page to print; opened by a secret that ends after ten minutes. */
export default async function Print({ params, searchParams }: Props) {
  await connection();
  const page = await loadPrint((await params).secret);
  if (!page) notFound();
  if ("board" in page) return <BoardPrint {...page} />;
  if ("briefing" in page) return <BriefingPrint {...page} />;
  const { as = "pdf", across = "1" } = await searchParams;
  return (
    <PrintPage {...page} as={as === "png" || as === "svg" ? as : "pdf"} across={across === "1"} />
  );
}

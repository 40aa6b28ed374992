import "@fontsource-variable/newsreader/opsz.css";
import "@fontsource-variable/newsreader/opsz-italic.css";
import "@fontsource-variable/hanken-grotesk";
import "@fontsource/noto-sans-arabic/400.css";
import "@fontsource/noto-sans-hebrew/400.css";
import "@fontsource/noto-emoji/400.css";
import type { Metadata } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { Frame } from "@/ui/shell";
import { Look } from "@/ui/tokens";

export const metadata: Metadata = {
  title: { default: "Grand Tally", template: "%s · Grand Tally" },
  description: "Say what to count; get a figure you can open.",
};

export default async function Layout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get("gt_theme")?.value === "night" ? "night" : "day";
  return (
    <html lang="en" data-theme={theme} suppressHydrationWarning>
      <body>
        <Look />
        <Frame>{children}</Frame>
      </body>
    </html>
  );
}

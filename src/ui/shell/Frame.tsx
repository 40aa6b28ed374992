"use client";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { useRouter, useServerInsertedHTML } from "next/navigation";
import { useState, type ReactNode } from "react";
import { I18nProvider, RouterProvider } from "react-aria-components";
import { ServerStyleSheet, StyleSheetManager } from "styled-components";
import { Toasts } from "../kit";
import { useTroubleAtHand } from "./LaterTrouble";

/** Styles on the server, links without reloads, one cache of answers, and the place for messages. */
export function Frame({ children }: { children: ReactNode }) {
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false, staleTime: 30_000 } },
      }),
  );
  const router = useRouter();
  useTroubleAtHand();
  return (
    <Styles>
      <I18nProvider locale="en">
        <RouterProvider navigate={(href) => router.push(href)}>
          <QueryClientProvider client={client}>
            {children}
            <Toasts />
          </QueryClientProvider>
        </RouterProvider>
      </I18nProvider>
    </Styles>
  );
}

function Styles({ children }: { children: ReactNode }) {
  const [sheet] = useState(() => new ServerStyleSheet());
  useServerInsertedHTML(() => {
    const styles = sheet.getStyleElement();
    sheet.instance.clearTag();
    return <>{styles}</>;
  });
  if (typeof window !== "undefined") return <>{children}</>;
  return <StyleSheetManager sheet={sheet.instance}>{children}</StyleSheetManager>;
}

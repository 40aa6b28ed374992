"use client";
import { saveFile } from "./saveFile";
import { tell } from "./toasts";

/** Asks one of the doors for files; what comes is saved, and what goes wrong is told. @param door the last part of its path */
export async function askFile(
  door: string,
  asked: object,
  name: string,
  { meanwhile }: { readonly meanwhile: string },
): Promise<void> {
  tell(meanwhile);
  try {
    const reply = await fetch(`/api/export/${door}`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(asked),
    });
    if (!reply.ok) {
      const told = (await reply.json().catch(() => null)) as {
        problems?: { message: string }[];
      } | null;
      throw new Error(told?.problems?.[0]?.message ?? "It could not be drawn.");
    }
    saveFile(name, await reply.blob());
  } catch (error) {
    tell((error as Error).message);
  }
}

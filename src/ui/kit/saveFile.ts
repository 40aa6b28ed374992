"use client";

/** Hands bytes to the browser to be saved under a name. */
export function saveFile(name: string, bytes: Blob): void {
  const address = URL.createObjectURL(bytes);
  const anchor = document.createElement("a");
  anchor.href = address;
  anchor.download = name;
  anchor.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

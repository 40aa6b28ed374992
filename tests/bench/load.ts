import { spawn } from "node:child_process";
import { readFileSync } from "node:fs";

/** Brings a bundle in with the real command and watches how long it takes and how much memory its process holds. */
const start = Date.now();
const child = spawn("bin/import", [process.argv[2]], {
  stdio: ["ignore", "pipe", "ignore"],
  env: process.env,
});
let peak = 0;
const watch = setInterval(() => {
  try {
    peak = Math.max(
      peak,
      Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, "utf8"))?.[1] ?? 0),
    );
  } catch {
    // It has ended.
  }
}, 100);
let told = "";
child.stdout.on("data", (text: Buffer) => (told += text.toString()));
child.on("close", (code) => {
  clearInterval(watch);
  const counts = (file: string) =>
    new RegExp(`^  ${file}: (\\d+) read, (\\d+) new`, "m").exec(told);
  process.stdout.write(
    `load: ${counts("items")?.[1]} items, ${counts("moves")?.[1]} moves in ${((Date.now() - start) / 1000).toFixed(1)} s, at most ${Math.round(peak / 1024)} MiB of memory (1 run, cold)\n`,
  );
  process.exitCode = code ?? 1;
});

import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";

const BUILD = process.env.GRAND_TALLY_DIST ?? ".next";

interface ClientManifest {
  readonly clientModules: Readonly<Record<string, { readonly chunks: readonly string[] }>>;
}

const read = (path: string): string => readFileSync(join(BUILD, path), "utf8");

/** The script that each page loads first, in bytes as sent (gzip), from the build's manifests; by the page's route. */
export function firstLoads(routes: readonly string[]): ReadonlyMap<string, number> {
  return new Map(routes.map((route) => [route, sizeOf(route)]));
}

function sizeOf(route: string): number {
  const manifest = `server/app${route}/page_client-reference-manifest.js`;
  if (!existsSync(join(BUILD, manifest))) throw new Error(`there is no page ${route} in the build`);
  const whole = read(manifest);
  const text = whole.slice(whole.indexOf('"] = ') + 5).replace(/;\s*$/, "");
  const { clientModules } = JSON.parse(text) as ClientManifest;
  const { rootMainFiles } = JSON.parse(read(`server/app${route}/page/build-manifest.json`)) as {
    rootMainFiles: string[];
  };
  const chunks = Object.values(clientModules).flatMap(({ chunks: own }) =>
    own.map((chunk) => chunk.replace("/_next/", "")),
  );
  const files = new Set([...rootMainFiles, ...chunks].filter((file) => file.endsWith(".js")));
  return [...files].reduce((sum, file) => sum + gzipSync(read(decodeURI(file))).length, 0);
}

#!/usr/bin/env bash
# Builds the web application when a source is newer than the last build.
. "$(dirname "$0")/base.sh"
if [ ! -f .next/BUILD_ID ] || [ -n "$(find src public next.config.mjs package-lock.json tsconfig.json -newer .next/BUILD_ID -type f -not -name '*.test.ts' -print -quit 2>/dev/null)" ]; then
  say "Building the application …"
  rm -f .next/BUILD_ID
  log=$(mktemp)
  node node_modules/next/dist/bin/next build >"$log" 2>&1 || { tail -n 40 "$log" >&2; rm -f "$log"; fail "the application could not be built"; }
  rm -f "$log"
  touch .next/BUILD_ID
fi

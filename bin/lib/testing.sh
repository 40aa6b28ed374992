# Shared by bin/test: its cluster, the unit tests, and the browser tests on workspaces of their own.
WORK="$ROOT/.test-data/work"
SERVERS=()

# test_cluster new|kept — a cluster for tests; a kept one stays on disk for the next time.
test_cluster() {
  rm -rf "$WORK"; mkdir -p "$WORK"
  FOLDER=$(cluster_folder ".test-data/$1")
  DATABASE_PORT=${TEST_DATABASE_PORT:-54399}
  until port_is_free "$DATABASE_PORT"; do DATABASE_PORT=$((DATABASE_PORT + 1)); done
  KEEPS=$1
  trap finish EXIT; trap 'exit 130' INT; trap 'exit 143' TERM
  mkdir -p "$(dirname "$FOLDER")"
  if [ "$1" = new ] || [ ! -f "$FOLDER/PG_VERSION" ]; then rm -rf "$FOLDER"; make_cluster "$FOLDER" trust; fi
  is_running "$FOLDER" && stop_cluster "$FOLDER"
  start_cluster "$FOLDER" "$DATABASE_PORT" fsync=off synchronous_commit=off full_page_writes=off
  export TEST_DATABASE_SERVER="postgres://tally@127.0.0.1:$DATABASE_PORT"
}

finish() {
  for pid in "${SERVERS[@]}"; do kill -TERM "$pid" 2>/dev/null || true; done
  for pid in "${SERVERS[@]}"; do wait "$pid" 2>/dev/null || true; done
  stop_cluster "$FOLDER"
  [ "$KEEPS" = new ] && rm -rf "$FOLDER" "$FOLDER.log"
  rm -rf "$WORK"
}

# run_units [PATH …] — Jest over some paths, or all.
run_units() {
  local quiet=(--silent); [ $# -gt 0 ] && quiet=()
  node node_modules/jest/bin/jest.js --json --outputFile="$WORK/jest.json" "${quiet[@]}" "$@" || true
  count $(node -e 'const r=JSON.parse(require("fs").readFileSync(process.argv[1]));console.log(r.numPassedTests,r.numFailedTests+r.numRuntimeErrorTestSuites)' "$WORK/jest.json" 2>/dev/null || echo "0 1")
}

exec_watch() { node node_modules/jest/bin/jest.js --watch --testPathPatterns "$@"; exit; }

# A workspace of the demo with a web server, a worker and a mail room of its own: lane NUMBER.
open_lane() {
  local number=$1 port=${TEST_PORT:-$((4399 + $1 * 10))} mail=$((4398 + $1 * 10)) folder="$WORK/lane-$1"
  mkdir -p "$folder"
  until port_is_free "$port"; do port=$((port + 1)); done
  until port_is_free "$mail" && [ "$mail" != "$port" ]; do mail=$((mail + 1)); done
  local database="e2e_$number"
  "$PGBIN/dropdb" -h 127.0.0.1 -p "$DATABASE_PORT" -U tally --if-exists "$database"
  if [ "$number" = 0 ]; then
    "$PGBIN/createdb" -h 127.0.0.1 -p "$DATABASE_PORT" -U tally "$database"
    DATABASE_URL="$TEST_DATABASE_SERVER/$database" GRAND_TALLY_DATA="$folder" GRAND_TALLY_END="$LANE_END" node --import tsx src/commands/prepare.ts
  else
    "$PGBIN/createdb" -h 127.0.0.1 -p "$DATABASE_PORT" -U tally -T e2e_0 "$database"
  fi
  LANES+=("http://127.0.0.1:$port $mail $TEST_DATABASE_SERVER/$database $folder")
}

start_lane() {
  local url=$1 mail=$2 database=$3 folder=$4
  (
    export GRAND_TALLY_URL="$url" GRAND_TALLY_SMTP="$mail" DATABASE_URL="$database" GRAND_TALLY_DATA="$folder" GRAND_TALLY_NOW="$LANE_END"
    exec node node_modules/next/dist/bin/next start -H 127.0.0.1 -p "${url##*:}" >"$folder/web.log" 2>&1
  ) & SERVERS+=($!)
  (
    export GRAND_TALLY_URL="$url" GRAND_TALLY_SMTP="$mail" DATABASE_URL="$database" GRAND_TALLY_DATA="$folder" GRAND_TALLY_NOW="$LANE_END"
    exec node --import tsx src/worker.ts >"$folder/worker.log" 2>&1
  ) & SERVERS+=($!)
  for _ in $(seq 1 200); do
    node -e 'fetch(process.argv[1]).then((r)=>process.exit(r.ok?0:1),()=>process.exit(1))' "$url/health" 2>/dev/null && return
    sleep 0.2
  done
}

# run_journeys [SPEC …] — the browser tests over the production build, side by side, each lane in a workspace of its own.
run_journeys() {
  bin/lib/build.sh
  LANE_END="2026-11-24T15:30:00Z" LANES=()
  local many=2; case "$*" in *.spec.ts) many=1 ;; esac
  for number in $(seq 0 $((many - 1))); do open_lane "$number"; done
  local urls="" databases=""
  for lane in "${LANES[@]}"; do
    start_lane $lane
    read -r url _ database _ <<<"$lane"
    urls="$urls $url" databases="$databases $database"
  done
  E2E_URLS="${urls# }" E2E_DATABASES="${databases# }" E2E_REPORT="$WORK/e2e.json" E2E_CLUSTER="$FOLDER" E2E_DATABASE_PORT="$DATABASE_PORT" \
    node node_modules/@playwright/test/cli.js test "$@" || true
  count $(node -e 'const s=JSON.parse(require("fs").readFileSync(process.argv[1])).stats;console.log(s.expected+s.flaky,s.unexpected)' "$WORK/e2e.json" 2>/dev/null || echo "0 1")
}

# Shared by the commands in bin/: messages, packages, and the project's own PostgreSQL cluster.
set -euo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
cd "$ROOT"
export NEXT_TELEMETRY_DISABLED=1
PGBIN=/usr/lib/postgresql/15/bin

say() { printf '%s\n' "$*"; }
fail() { printf 'grand tally: %s\n' "$*" >&2; exit 1; }

# Debian packages that are missing, installed as root or through sudo; otherwise says what to install.
need_packages() {
  local missing=()
  for package in "$@"; do
    case "$package" in
      postgresql-15) [ -x "$PGBIN/initdb" ] || missing+=("$package") ;;
      chromium) [ -x /usr/bin/chromium ] || missing+=("$package") ;;
      poppler-utils) [ -x /usr/bin/pdftotext ] || missing+=("$package") ;;
    esac
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  local as_root=""
  if [ "$(id -u)" != 0 ]; then
    command -v sudo >/dev/null && sudo -n true 2>/dev/null && as_root=sudo || fail "these Debian packages are missing; install them with: apt-get install ${missing[*]}"
  fi
  say "Installing ${missing[*]} …"
  $as_root apt-get update -qq >/dev/null 2>&1 || true
  # The packaged cluster is not wanted: ours has a folder and a port of its own.
  if [ ! -e /etc/postgresql-common/createcluster.conf ]; then
    $as_root mkdir -p /etc/postgresql-common
    printf 'create_main_cluster = false\n' | $as_root tee /etc/postgresql-common/createcluster.conf >/dev/null
  fi
  DEBIAN_FRONTEND=noninteractive $as_root apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null 2>"$ROOT/.data-apt.log" || {
    local why; why=$(tail -n 1 "$ROOT/.data-apt.log"); rm -f "$ROOT/.data-apt.log"; fail "could not install ${missing[*]}: $why"; }
  rm -f "$ROOT/.data-apt.log"
}

need_modules() {
  local stamp=node_modules/.installed-for
  if [ ! -f "$stamp" ] || ! cmp -s package-lock.json "$stamp"; then
    say "Installing the packages of package-lock.json …"
    npm ci --no-audit --no-fund --loglevel=error >/dev/null || fail "npm ci failed; see the lines above"
    cp package-lock.json "$stamp"
  fi
}

# Runs a PostgreSQL program as the owner of the cluster: postgres when we are root, ourselves otherwise.
as_owner() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }

# The folder of the cluster. Where postgres cannot pass the folders above the project, it lies under /var/lib.
cluster_folder() {
  local name=$1 folder="$ROOT/$1"
  if [ "$(id -u)" = 0 ]; then
    local parent; parent=$(dirname "$folder")
    if ! as_owner test -x "$parent"; then folder="/var/lib/grand-tally$(printf '%s' "$ROOT" | tr '/' '-')/$name"; fi
  fi
  printf '%s' "$folder"
}

# A free port of the loopback address, the wanted one if it is free.
port_is_free() { node -e 'const s=require("net").createServer();s.once("error",()=>process.exit(1));s.listen(+process.argv[1],"127.0.0.1",()=>s.close(()=>process.exit(0)))' "$1"; }

# make_cluster FOLDER PASSWORD_FILE|trust — initdb into a side folder, moved into place when it is whole.
make_cluster() {
  local folder=$1 auth=$2 making="$1.making"
  rm -rf "$making"
  mkdir -p "$making" || fail "cannot make $making: is there space left, and may you write there?"
  chmod 700 "$making"
  local extra=(--auth=trust)
  if [ "$auth" != trust ]; then
    cp "$auth" "$making.pw"; chmod 600 "$making.pw"; extra=(--auth=scram-sha-256 --pwfile="$making.pw")
    [ "$(id -u)" = 0 ] && chown postgres "$making.pw"
  fi
  [ "$(id -u)" = 0 ] && chown postgres "$making"
  local log; log=$(mktemp)
  if ! as_owner "$PGBIN/initdb" --encoding=UTF8 --locale=C.UTF-8 --username=tally "${extra[@]}" -D "$making" >"$log" 2>&1; then
    local why; why=$(grep -m1 -iE 'no space|could not|error|fatal' "$log" || tail -n 1 "$log"); rm -rf "$making" "$making.pw" "$log"
    case "$why" in *[Nn]"o space"*) fail "there is no space left for the database in $(dirname "$folder")" ;; *) fail "the database could not be made: $why" ;; esac
  fi
  rm -f "$making.pw" "$log"
  mv "$making" "$folder"
}

# start_cluster FOLDER PORT [settings …]
start_cluster() {
  local folder=$1 port=$2; shift 2
  local log="$folder.log" options="-c listen_addresses=127.0.0.1 -c port=$port -c unix_socket_directories= -c jit=off -c max_connections=40"
  for setting in "$@"; do options="$options -c $setting"; done
  : >"$log" 2>/dev/null || fail "there is no space left, or no right to write, in $(dirname "$folder")"
  [ "$(id -u)" = 0 ] && chown postgres "$log"
  if ! as_owner "$PGBIN/pg_ctl" -D "$folder" -l "$log" -o "$options" -w -t 90 start >/dev/null 2>&1; then
    local why; why=$(grep -m1 -E 'No space|FATAL|PANIC' "$log" || tail -n 1 "$log")
    case "$why" in
      *"No space"*) fail "there is no space left for the database in $(dirname "$folder")" ;;
      *) fail "the database in $folder does not start: ${why#*FATAL:  } (its log: $log)" ;;
    esac
  fi
}

stop_cluster() { as_owner "$PGBIN/pg_ctl" -D "$1" -m fast -w stop >/dev/null 2>&1 || true; }
is_running() { [ -f "$1/postmaster.pid" ] && as_owner "$PGBIN/pg_ctl" -D "$1" status >/dev/null 2>&1; }

# Ends what a start that was killed has left running: its web server and its worker.
end_orphans() {
  [ -f "$ROOT/.data/children.pid" ] || return 0
  local pid
  while read -r pid; do
    if [ -r "/proc/$pid/cmdline" ] && tr '\0' ' ' <"/proc/$pid/cmdline" | grep -qE 'next|src/worker\.ts'; then
      kill -TERM "$pid" 2>/dev/null || true
      for _ in $(seq 1 50); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
      kill -KILL "$pid" 2>/dev/null || true
    fi
  done <"$ROOT/.data/children.pid"
  rm -f "$ROOT/.data/children.pid"
}

# For commands beside a running application: its database address.
command_env() {
  need_modules
  [ -n "${DATABASE_URL:-}" ] && return 0
  [ -f "$ROOT/.data/environment" ] || fail "start the application first: bin/start"
  set -a; . "$ROOT/.data/environment"; set +a
}

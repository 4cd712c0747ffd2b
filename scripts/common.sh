# Shared by ./start and ./test: messages, packages, and a private PostgreSQL cluster. Meant to be sourced by bash.

say() { printf '%s\n' "· $*"; }
fail() { printf '%s\n' "! $1" "  What to do: $2" >&2; exit 1; }

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

need_tools() {
  command -v dotnet >/dev/null || fail "the .NET SDK is missing" "install the .NET 10 SDK and try again"
  command -v node >/dev/null && command -v npm >/dev/null || fail "Node.js is missing" "install Node.js 20 or newer with npm and try again"
}

# need_packages NAME...: installs those of Debian's packages that are not installed yet, and starts no service that comes with them.
need_packages() {
  local missing=() name
  for name in "$@"; do dpkg -s "$name" >/dev/null 2>&1 || missing+=("$name"); done
  [ ${#missing[@]} -eq 0 ] && return
  say "Installing from Debian's packages: ${missing[*]}"
  # Another installation may hold the lock for a while.
  local log; log=$(mktemp)
  if ! { as_root apt-get -o DPkg::Lock::Timeout=120 update && as_root env RUNLEVEL=1 DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=120 install -y --no-install-recommends "${missing[@]}"; } >"$log" 2>&1; then
    tail -n 15 "$log" >&2
    fail "the packages could not be installed" "see the lines above; install ${missing[*]} by hand and try again"
  fi
  rm -f "$log"
}

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

# PostgreSQL does not run as root: then the cluster belongs to the system user postgres.
as_cluster_user() { if [ "$(id -u)" = 0 ]; then (cd / && setpriv --reuid=postgres --regid=postgres --init-groups "$@"); else "$@"; fi; }

# data_home DIR: where the database of a checkout lives. As root it lives where the user postgres can reach it, whatever folder the
# checkout stands in.
data_home() {
  if [ -n "${YELLOWPENCIL_DATA:-}" ]; then echo "$YELLOWPENCIL_DATA"
  elif [ "$(id -u)" = 0 ]; then echo "/var/lib/yellow-pencil/$(printf '%s' "$1" | sha256sum | cut -c1-12)"
  else echo "$1/.data/postgres"; fi
}

# stop_left_over DIR: ends an application that a killed ./start has left running; only if it is that one.
stop_left_over() {
  local pid; pid=$(head -n 1 "$1/running" 2>/dev/null) || return 0
  case "$pid" in '' | *[!0-9]*) return 0 ;; esac
  if tr '\0' '\n' <"/proc/$pid/cmdline" 2>/dev/null | grep -q 'YellowPencil\.Web\.dll$'; then
    kill -TERM "$pid" 2>/dev/null || true
    for _ in $(seq 1 50); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    kill -KILL "$pid" 2>/dev/null || true
  fi
  rm -f "$1/running"
}

# free_port: a port below those that the system hands out by itself, so that no other program is given it between here and its use.
free_port() {
  node -e '
    const take = () => {
      const port = 10240 + Math.floor(Math.random() * 22000), server = require("net").createServer();
      server.once("error", take);
      server.listen(port, "127.0.0.1", () => { console.log(port); server.close(); });
    };
    take();'
}

# is_port_free PORT
is_port_free() { node -e 'const s=require("net").createServer();s.once("error",()=>process.exit(1));s.listen(Number(process.argv[1]),"127.0.0.1",()=>s.close())' "$1"; }

# cluster_pid DIR: the process that serves the cluster; nothing where none does. The number in postmaster.pid may be a dead
# server's, and may by now belong to somebody else's program.
cluster_pid() {
  local pid; pid=$(head -n 1 "$1/data/postmaster.pid" 2>/dev/null) || return 0
  case "$pid" in '' | *[!0-9]*) return 0 ;; esac
  if [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$(readlink -f "$1/data")" ]; then echo "$pid"; fi
}

# make_cluster DIR: makes the cluster if it is not there. It is made aside and moved into place when it is whole, so that a cut in
# between leaves nothing half made, and data that stand there are never thrown away.
make_cluster() {
  local dir=$1 bin=$2
  mkdir -p "$dir"
  if [ ! -d "$dir/data" ]; then
    rm -rf "${dir:?}/data.new"
    new_secret "$dir"
    [ "$(id -u)" = 0 ] && chown -R postgres:postgres "$dir"
    as_cluster_user "$bin/initdb" -D "$dir/data.new" -U pencil --auth=scram-sha-256 --pwfile="$dir/secret" --encoding=UTF8 --locale=C.UTF-8 >"$dir/initdb.log" 2>&1 \
      || { tail -n 5 "$dir/initdb.log" >&2; fail "the database cluster could not be made in $dir" "see the lines above; is the disk full?"; }
    mv "$dir/data.new" "$dir/data"
    sync "$dir/secret" "$dir"
  elif [ ! -s "$dir/secret" ]; then
    new_secret "$dir"
    [ "$(id -u)" = 0 ] && chown postgres:postgres "$dir/secret"
    echo "alter role pencil password '$(cat "$dir/secret")'" | as_cluster_user "$bin/postgres" --single -D "$dir/data" postgres >/dev/null 2>&1 \
      || fail "the password of the database in $dir is lost and could not be set anew" "restore the file secret in that folder from a backup"
  fi
}

new_secret() { (umask 077; head -c 24 /dev/urandom | base64 | tr -d '+/=\n' >"$1/secret"); }

# start_cluster DIR [PORT]: makes the cluster if it is not there, starts it on the loopback, on a free port unless one is given,
# and sets PG_PORT and PG_CONNECTION (without a database). Whatever was killed before, the next start comes up.
start_cluster() {
  local dir=$1 bin try; bin=$(pg_bin)
  PG_PORT=${2:-$(free_port)}
  [ -n "$bin" ] || fail "PostgreSQL's programs were not found" "check that the package postgresql is installed"
  stop_cluster "$dir"
  rm -f "$dir/data/postmaster.pid"
  make_cluster "$dir" "$bin"
  # The last processes of a killed server may take a moment to notice that it is gone.
  for try in 1 2 3 4 5 6 7 8; do
    if as_cluster_user "$bin/pg_ctl" -D "$dir/data" -l "$dir/data/server.log" -w -t 60 \
      -o "-p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c log_error_verbosity=terse ${PG_OPTIONS:-}" start >/dev/null 2>&1 9>&-; then
      PG_CONNECTION="Host=127.0.0.1;Port=$PG_PORT;Username=pencil;Password=$(cat "$dir/secret")"
      return
    fi
    sleep 1
  done
  tail -n 5 "$dir/data/server.log" >&2 || true
  fail "PostgreSQL did not start" "see the lines above, and $dir/data/server.log"
}

stop_cluster() {
  if [ -n "$(cluster_pid "$1")" ]; then as_cluster_user "$(pg_bin)/pg_ctl" -D "$1/data" -m fast -w stop >/dev/null 2>&1 || true; fi
}

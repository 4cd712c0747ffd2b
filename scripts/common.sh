# Shared by ./start and ./test: messages, packages, and a private PostgreSQL cluster. Meant to be sourced by bash.

say() { printf '%s\n' "· $*"; }
fail() { printf '%s\n' "! $1" "  What to do: $2" >&2; exit 1; }

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

need_tools() {
  command -v dotnet >/dev/null || fail "the .NET SDK is missing" "install the .NET 10 SDK and try again"
  command -v node >/dev/null && command -v npm >/dev/null || fail "Node.js is missing" "install Node.js 20 or newer with npm and try again"
}

# need_packages NAME...: installs those of Debian's packages that are not installed yet.
need_packages() {
  local missing=() name
  for name in "$@"; do dpkg -s "$name" >/dev/null 2>&1 || missing+=("$name"); done
  [ ${#missing[@]} -eq 0 ] && return
  say "Installing from Debian's packages: ${missing[*]}"
  # Another installation may hold the lock for a while.
  local log; log=$(mktemp)
  if ! { as_root apt-get -o DPkg::Lock::Timeout=120 update && as_root env DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=120 install -y --no-install-recommends "${missing[@]}"; } >"$log" 2>&1; then
    tail -n 15 "$log" >&2
    fail "the packages could not be installed" "see the lines above; install ${missing[*]} by hand and try again"
  fi
  rm -f "$log"
}

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

# PostgreSQL does not run as root: then the cluster belongs to the system user postgres.
as_cluster_user() { if [ "$(id -u)" = 0 ]; then (cd / && setpriv --reuid=postgres --regid=postgres --init-groups "$@"); else "$@"; fi; }

free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }

# start_cluster DIR: makes the cluster if it is not there, starts it on a free port of the loopback, and sets PG_CONNECTION
# (without a database). A cluster that a killed run has left running is stopped first.
start_cluster() {
  local dir=$1 bin; bin=$(pg_bin)
  [ -n "$bin" ] || fail "PostgreSQL's programs were not found" "check that the package postgresql is installed"
  if [ ! -f "$dir/secret" ]; then
    rm -rf "${dir:?}/data"
    mkdir -p "$dir"
    head -c 24 /dev/urandom | base64 | tr -d '+/=\n' >"$dir/secret.new"
    chmod 600 "$dir/secret.new"
    [ "$(id -u)" = 0 ] && chown -R postgres:postgres "$dir"
    as_cluster_user "$bin/initdb" -D "$dir/data" -U pencil --auth=scram-sha-256 --pwfile="$dir/secret.new" --encoding=UTF8 --locale=C.UTF-8 >"$dir/initdb.log" 2>&1 \
      || { tail -n 5 "$dir/initdb.log" >&2; fail "the database cluster could not be made in $dir" "remove that folder and try again"; }
    mv "$dir/secret.new" "$dir/secret"
  fi
  [ -f "$dir/data/postmaster.pid" ] && as_cluster_user "$bin/pg_ctl" -D "$dir/data" -m fast -w stop >/dev/null 2>&1
  local port; port=$(free_port)
  as_cluster_user "$bin/pg_ctl" -D "$dir/data" -l "$dir/data/server.log" -w -t 60 \
    -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' ${PG_OPTIONS:-}" start >/dev/null \
    || { tail -n 5 "$dir/data/server.log" >&2; fail "PostgreSQL did not start" "see $dir/data/server.log"; }
  PG_CONNECTION="Host=127.0.0.1;Port=$port;Username=pencil;Password=$(cat "$dir/secret")"
}

stop_cluster() { as_cluster_user "$(pg_bin)/pg_ctl" -D "$1/data" -m fast -w stop >/dev/null 2>&1 || true; }

# What bin/start and bin/test share: packages, dependencies, the private PostgreSQL cluster, the build.
# Sourced, with the project's folder as working directory.

say() { printf '\033[35m▸\033[0m %s\n' "$*"; }
fail() { printf '\033[31m✗ %s\033[0m\n' "$*" >&2; exit 1; }

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

# Installs Debian packages that are missing: ensure_packages COMMAND:PACKAGE ...
ensure_packages() {
  local missing=() pair
  for pair in "$@"; do
    if [ ! -x "${pair%%:*}" ] && ! compgen -G "${pair%%:*}" >/dev/null; then missing+=("${pair##*:}"); fi
  done
  [ ${#missing[@]} -eq 0 ] && return
  say "Installing ${missing[*]}"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y "${missing[@]}" >/tmp/velvet-tape-apt.log 2>&1 ||
    { as_root apt-get update >/dev/null 2>&1 &&
      as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y "${missing[@]}" >/tmp/velvet-tape-apt.log 2>&1; } ||
    fail "Could not install ${missing[*]}; see /tmp/velvet-tape-apt.log"
}

ensure_node() {
  command -v node >/dev/null || fail "Node 20 is needed."
  [ "$(node -p 'process.versions.node.split(".")[0] >= 20')" = true ] || fail "Node 20 or newer is needed; this is $(node -v)."
}

# npm ci, when the lock file changed since the last time.
ensure_dependencies() {
  mkdir -p .state
  local now; now=$(sha256sum package-lock.json | cut -d' ' -f1)
  if [ ! -d node_modules ] || [ "$(cat .state/lock 2>/dev/null)" != "$now" ]; then
    say "Installing dependencies (about a minute)"
    npm ci --no-audit --no-fund --loglevel=error >.state/npm.log 2>&1 || { tail -n 20 .state/npm.log; fail "npm ci failed; see .state/npm.log"; }
    echo "$now" >.state/lock
  fi
}

# Both at once, as either waits for the network: ensure_all COMMAND:PACKAGE ...
ensure_all() {
  ensure_packages "$@" & local packages=$!
  ensure_dependencies
  wait "$packages" || exit 1
}

# Exports the client, when something it is made of changed since the last time.
ensure_client() {
  mkdir -p .state
  local now
  # what the build itself makes is no reason to build again
  now=$(find apps/client packages -type f | grep -v -E '/(node_modules|dist|\.expo|\.parts|tests|bench|trials)/|expo-env\.d\.ts$|\.tsbuildinfo$' |
    LC_ALL=C sort | xargs sha256sum package-lock.json | sha256sum | cut -d' ' -f1)
  if [ ! -f apps/client/dist/index.html ] || [ "$(cat .state/client 2>/dev/null)" != "$now" ]; then
    say "Building the client (one to three minutes the first time)"
    npm run build --silent >.state/build.log 2>&1 || { tail -n 30 .state/build.log; fail "The client could not be built; see .state/build.log"; }
    echo "$now" >.state/client
  fi
}

# Makes the service, which takes a second.
ensure_service() { npm run build --silent --workspace apps/server || fail "The service could not be built."; }

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() { node -e 'const s=require("net").createServer().listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

# PostgreSQL refuses to run as root: there it runs as the user postgres, elsewhere as whoever this is.
as_postgres() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }

# The folder of the cluster. A checkout under a home that postgres may not enter keeps it elsewhere.
cluster_folder() {
  local folder=${VELVET_TAPE_DATA:-$PWD/.postgres}
  mkdir -p "$folder"
  if [ "$(id -u)" = 0 ]; then
    chown postgres "$folder"
    if ! as_postgres test -w "$folder"; then
      folder=/var/lib/postgresql/velvet-tape-$(pwd | sha256sum | cut -c1-12)
      mkdir -p "$folder"; chown postgres "$folder"
    fi
  fi
  echo "$folder"
}

# Starts the cluster in folder $1 on loopback port $2, making it first when there is none. With fast_and_loose=true nothing is
# written through to the disk: for tests, whose data may go when the power does.
start_cluster() {
  local folder=$1 port=$2 bin loose=''; bin=$(pg_bin)
  if ${fast_and_loose:-false}; then loose='-c fsync=off -c synchronous_commit=off -c full_page_writes=off'; fi
  if [ ! -f "$folder/data/PG_VERSION" ]; then
    say "Making a PostgreSQL cluster in $folder"
    (umask 077 && head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$folder/password")
    [ "$(id -u)" = 0 ] && chown postgres "$folder/password"
    as_postgres "$bin/initdb" -D "$folder/data" -U app --auth=scram-sha-256 --pwfile="$folder/password" -E UTF8 --locale=C.UTF-8 >/dev/null
  fi
  local try
  for try in 1 2 3 4 5; do
    if as_postgres "$bin/pg_ctl" -D "$folder/data" -w -t 30 -l "$folder/server.log" \
      -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' $loose" start >/dev/null 2>&1; then return; fi
    sleep 1
  done
  tail -n 5 "$folder/server.log" >&2; fail "PostgreSQL did not start; see $folder/server.log"
}

stop_cluster() { as_postgres "$(pg_bin)/pg_ctl" -D "$1/data" -m fast -w stop >/dev/null 2>&1 || true; }

cluster_is_up() { as_postgres "$(pg_bin)/pg_ctl" -D "$1/data" status >/dev/null 2>&1; }

# What the service comes as: no superuser, and owner of its own tables only. Run again it changes nothing; what an older version made becomes its own.
ensure_role() {
  local folder=$1 port=$2 database=$3
  PGPASSWORD=$(cat "$folder/password") "$(pg_bin)/psql" -h 127.0.0.1 -p "$port" -U app -d "$database" -q -v ON_ERROR_STOP=1 \
    -v password="$(cat "$folder/password")" >/dev/null <<'SQL' || fail "The role of the service could not be made."
SELECT 'CREATE ROLE velvet LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE' WHERE NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'velvet') \gexec
ALTER ROLE velvet PASSWORD :'password';
SELECT format('GRANT CONNECT, CREATE, TEMPORARY ON DATABASE %I TO velvet', current_database()) \gexec
GRANT ALL ON SCHEMA public TO velvet;
SELECT format('ALTER TABLE public.%I OWNER TO velvet', tablename) FROM pg_tables WHERE schemaname = 'public' AND tableowner <> 'velvet' \gexec
SQL
}

# Calls function $1 with the address of the database; starts the cluster for it, and stops it again, when it does not run.
use_cluster() {
  local folder port own=false; folder=$(cluster_folder)
  if [ -f "$folder/data/PG_VERSION" ] && cluster_is_up "$folder"; then port=$(sed -n 4p "$folder/data/postmaster.pid")
  else port=$(free_port); start_cluster "$folder" "$port"; own=true; fi
  ensure_role "$folder" "$port" postgres
  local code=0
  ("$1" "$(service_url "$folder" "$port" postgres)") || code=$?
  if $own; then stop_cluster "$folder"; fi
  return "$code"
}

service_url() { echo "postgres://velvet:$(cat "$1/password")@127.0.0.1:$2/$3"; }

cluster_url() { echo "postgres://app:$(cat "$1/password")@127.0.0.1:$2/$3"; }

PG_SERVER="/usr/lib/postgresql/*/bin/initdb:postgresql"

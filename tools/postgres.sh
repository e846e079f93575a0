#!/usr/bin/env bash
# A private PostgreSQL cluster in a folder of its own, on loopback, used by `./ledger` and by the tests alike.
#
#   postgres.sh start FOLDER             make it if it is not there, start it, and write FOLDER/connection.env
#   postgres.sh start FOLDER --throw-away   the same for data that nobody will miss: quicker, not safe against power cuts
#   postgres.sh database FOLDER NAME     add another empty database to it
#   postgres.sh copy FOLDER NEW          take a base backup while it runs; NEW can be started as a cluster of its own, on another port
#   postgres.sh standby FOLDER NEW       the same, started as a standby; what FOLDER commits from then on is confirmed when NEW has it too
#   postgres.sh promote NEW              let a standby become a primary
#   postgres.sh stop FOLDER              stop it; the data stay
#   postgres.sh destroy FOLDER           stop it and remove its data
#
# PostgreSQL refuses to run as root; as root the server runs as the user postgres, and where that user cannot enter
# FOLDER the data lie under /var/lib/postgresql with a link to them in FOLDER.
set -euo pipefail

readonly OWNER=ledger_owner APP=ledger_app STANDIN=ledger_standin
# Below the range from which clients are given their ports: one of a client that has just gone cannot be listened on.
readonly FIRST_PORT=24320 LAST_PORT=24420

fail() { printf 'postgres: %s\n' "$*" >&2; exit 1; }

find_binaries() {
  local bin
  bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)
  [[ -n $bin && -x $bin/initdb ]] || fail "PostgreSQL's server is missing. Run: apt-get install postgresql"
  echo "$bin"
}

# Runs a command as the user that owns the server; from / since that user may not enter the present folder.
as_server() {
  if [[ $EUID -eq 0 ]]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

choose_port() {
  local port kept=${1:-}
  if [[ -n $kept ]] && ((kept >= FIRST_PORT && kept <= LAST_PORT)) && port_is_free "$kept"; then echo "$kept"; return; fi
  # Tests start clusters side by side; a random beginning keeps them off each other's feet.
  local count=$((LAST_PORT - FIRST_PORT)) offset=$((RANDOM))
  for ((i = 0; i < count; i++)); do
    port=$((FIRST_PORT + (offset + i) % count))
    if port_is_free "$port"; then echo "$port"; return; fi
  done
  fail "no port from $FIRST_PORT to $LAST_PORT is free"
}

# Where the data lie: in FOLDER, or elsewhere with a link when the server's user cannot get there.
make_data_folder() {
  local data=$folder/data
  [[ -e $data ]] && return
  mkdir -p "$folder/data"
  [[ $EUID -eq 0 ]] || return 0
  chown postgres: "$data"
  if ! as_server test -w "$data"; then
    rmdir "$data"
    local elsewhere
    elsewhere=/var/lib/postgresql/ample-ledger-$(printf %s "$folder" | sha256sum | cut -c1-12)
    rm -rf "$elsewhere"
    mkdir -p "$elsewhere"
    chown postgres: "$elsewhere"
    ln -s "$elsewhere" "$data"
  fi
}

# The folder of the server's socket: with the data, or a short one of its own where that path is too long for a socket.
socket_folder() {
  if ((${#data} <= 80)); then echo "$data"; return; fi
  local short
  short=/tmp/ample-ledger-$(printf %s "$data" | sha256sum | cut -c1-12)
  as_server mkdir -p -m 700 "$short"
  as_server test -O "$short" || fail "$short belongs to somebody else"
  echo "$short"
}

psql_super() { as_server "$bin/psql" -X -q -v ON_ERROR_STOP=1 -h "$(socket_folder)" -p "$port" -U postgres "$@"; }

new_password() { head -c 24 /dev/urandom | base64 | tr -d '/+=\n'; }

make_cluster() {
  as_server "$bin/initdb" -D "$data" -U postgres -E UTF8 --locale=C.UTF-8 \
    --auth-local=trust --auth-host=scram-sha-256 >"$folder/initdb.log" 2>&1 \
    || fail "initdb failed; see $folder/initdb.log"
}

make_roles() {
  psql_super -d postgres <<SQL
CREATE ROLE $OWNER LOGIN PASSWORD '$LEDGER_OWNER_PASSWORD';
CREATE ROLE $APP LOGIN PASSWORD '$LEDGER_APP_PASSWORD';
CREATE ROLE $STANDIN LOGIN PASSWORD '$LEDGER_STANDIN_PASSWORD';
SQL
  make_database ledger
}

# Clusters that are older than the demo's institution get its role and schema too.
add_standin() {
  LEDGER_STANDIN_PASSWORD=$(new_password)
  psql_super -d ledger <<SQL
DO \$\$ BEGIN CREATE ROLE $STANDIN LOGIN; EXCEPTION WHEN duplicate_object THEN NULL; END \$\$;
ALTER ROLE $STANDIN PASSWORD '$LEDGER_STANDIN_PASSWORD';
GRANT CONNECT ON DATABASE ledger TO $STANDIN;
CREATE SCHEMA IF NOT EXISTS standin AUTHORIZATION $STANDIN;
SQL
}

make_database() {
  psql_super -d postgres <<SQL
CREATE DATABASE $1 OWNER $OWNER;
REVOKE ALL ON DATABASE $1 FROM PUBLIC;
GRANT CONNECT ON DATABASE $1 TO $APP, $STANDIN;
\connect $1
REVOKE ALL ON SCHEMA public FROM PUBLIC;
CREATE SCHEMA ledger AUTHORIZATION $OWNER;
CREATE SCHEMA standin AUTHORIZATION $STANDIN;
SQL
}

write_connection() {
  (umask 077 && cat >"$folder/connection.env" <<ENV
LEDGER_DATABASE_URL=jdbc:postgresql://127.0.0.1:$port/ledger?currentSchema=ledger
LEDGER_STANDIN_URL=jdbc:postgresql://127.0.0.1:$port/ledger?currentSchema=standin
LEDGER_DATABASE_PORT=$port
LEDGER_OWNER_PASSWORD=$LEDGER_OWNER_PASSWORD
LEDGER_APP_PASSWORD=$LEDGER_APP_PASSWORD
LEDGER_STANDIN_PASSWORD=$LEDGER_STANDIN_PASSWORD
ENV
  )
}

is_running() { as_server "$bin/pg_ctl" -D "$data" status >/dev/null 2>&1; }

start() {
  mkdir -p "$folder"
  make_data_folder
  data=$(readlink -f "$folder/data")
  local is_new=
  if [[ ! -e $folder/connection.env ]]; then
    is_new=yes
    # What a start that was interrupted left behind was never used.
    if as_server test -e "$data/PG_VERSION"; then
      if is_running; then as_server "$bin/pg_ctl" -D "$data" stop -m immediate >/dev/null; fi
      as_server find "$data" -mindepth 1 -delete
    fi
    make_cluster
    LEDGER_OWNER_PASSWORD=$(new_password) LEDGER_APP_PASSWORD=$(new_password) LEDGER_STANDIN_PASSWORD=$(new_password)
    port=
  else
    # shellcheck disable=SC1091
    source "$folder/connection.env"
    port=$LEDGER_DATABASE_PORT
    if is_running && [[ -n ${LEDGER_STANDIN_PASSWORD:-} ]]; then return; fi
  fi
  if ! is_running; then start_server; fi
  if [[ -n $is_new ]]; then make_roles; fi
  if [[ -z ${LEDGER_STANDIN_PASSWORD:-} ]]; then add_standin; fi
  write_connection
}

start_server() {
  port=$(choose_port "$port")
  as_server "$bin/pg_ctl" -D "$data" -l "$data/server.log" -w -t 60 \
    -o "-h 127.0.0.1 -p $port -k '$(socket_folder)' $safety" start >/dev/null </dev/null \
    || fail "the server did not start; see $data/server.log"
}

stop() {
  [[ -e $folder/data ]] || return 0
  data=$(readlink -f "$folder/data")
  if is_running; then
    as_server "$bin/pg_ctl" -D "$data" stop -m fast -w -t 60 >/dev/null || fail "the server does not stop"
  fi
}

# copy NEW [OPTIONS of pg_basebackup]: as the server keeps it, which confirms all that was committed before it began.
copy() {
  local new=$1 from=$folder from_port
  shift
  # shellcheck disable=SC1091
  source "$folder/connection.env"
  from_port=$LEDGER_DATABASE_PORT
  local socket
  data=$(readlink -f "$folder/data")
  socket=$(socket_folder)
  folder=$new
  mkdir -p "$folder"
  make_data_folder
  data=$(readlink -f "$folder/data")
  as_server chmod 700 "$data"
  as_server "$bin/pg_basebackup" -h "$socket" -p "$from_port" -U postgres -D "$data" -X stream -c fast "$@" >"$folder/copy.log" 2>&1 \
    || fail "no copy could be made; see $folder/copy.log"
  # A copy waits for no standby: it has none.
  as_server sed -i '/^synchronous_standby_names/d' "$data/postgresql.auto.conf"
  port=$(choose_port '')
  write_connection
  folder=$from
}

standby() {
  local new=$1 first=$folder
  copy "$new" -R -C -S standby
  folder=$new
  start
  folder=$first
  # shellcheck disable=SC1091
  source "$folder/connection.env"
  port=$LEDGER_DATABASE_PORT data=$(readlink -f "$folder/data")
  psql_super -d postgres -c "ALTER SYSTEM SET synchronous_standby_names = '*'" -c 'SELECT pg_reload_conf()' >/dev/null
}

promote() {
  data=$(readlink -f "$folder/data")
  as_server "$bin/pg_ctl" -D "$data" promote -w -t 60 >/dev/null || fail "the standby does not become a primary"
}

destroy() {
  stop
  [[ ! -e $folder/data ]] || rm -rf "$(readlink -f "$folder/data")"
  rm -rf "$folder"
}

[[ $# -ge 2 ]] || fail "usage: postgres.sh start|database|copy|standby|promote|stop|destroy FOLDER [NAME]"
safety=
[[ ${3:-} != --throw-away ]] || safety='-c fsync=off -c full_page_writes=off -c synchronous_commit=off'
command=$1 bin=$(find_binaries)
mkdir -p "$(dirname "$2")"
folder=$(readlink -m "$2")
case $command in
  start) start ;;
  copy | standby) "$command" "$(readlink -m "${3:?a folder for the copy}")" ;;
  promote) promote ;;
  stop) stop ;;
  destroy) destroy ;;
  database)
    # shellcheck disable=SC1091
    source "$folder/connection.env"
    port=$LEDGER_DATABASE_PORT data=$(readlink -f "$folder/data")
    make_database "${3:?a name for the database}"
    ;;
  *) fail "unknown command $command" ;;
esac

#!/bin/sh
# Makes and starts a PostgreSQL cluster; run as an unprivileged user, under a lock, by cluster.mjs.
# usage: cluster.sh BIN FOLDER PORT PASSWORD_FILE [fast]
# Prints "started PORT" or "running PORT".
set -eu
BIN=$1 DATA=$2/data PORT=$3 PASSWORD_FILE=$4 MODE=${5:-safe}

if [ ! -s "$DATA/PG_VERSION" ]; then
  rm -rf "$DATA"
  "$BIN/initdb" -D "$DATA" -U fastigo -A scram-sha-256 --pwfile="$PASSWORD_FILE" -E UTF8 --locale=C.UTF-8 >"$2/initdb.log" 2>&1 || { cat "$2/initdb.log" >&2; exit 1; }
fi

# After a SIGKILL the pid file is stale, and its number may belong to some other program by now.
if [ -f "$DATA/postmaster.pid" ]; then
  PID=$(head -n 1 "$DATA/postmaster.pid")
  if [ "$(cat "/proc/$PID/comm" 2>/dev/null || true)" = postgres ]; then
    echo "running $(sed -n 4p "$DATA/postmaster.pid")"
    exit 0
  fi
  rm -f "$DATA/postmaster.pid"
fi

OPTIONS="-p $PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories= -c max_connections=200"
[ "$MODE" = fast ] && OPTIONS="$OPTIONS -c fsync=off -c synchronous_commit=off -c full_page_writes=off"
"$BIN/pg_ctl" -D "$DATA" -w -t 60 -l "$2/postgres.log" -o "$OPTIONS" start </dev/null >"$2/start.log" 2>&1 || { tail -n 5 "$2/postgres.log" >&2; exit 1; }
echo "started $PORT"

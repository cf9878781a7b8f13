#!/usr/bin/env bash
# Kills each process of a copy of its own that bin/start made, and looks whether it comes back; then stops it by Ctrl-C and
# starts it again two seconds later. Prints a line for each, and leaves with 1 where one fails. Settings: as for bin/start.
set -mu
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
export MARGIN_DATA=${MARGIN_DATA:-$(mktemp -d "${TMPDIR:-/tmp}/inked-margin-supervised.XXXXXX")} MARGIN_PORT=${MARGIN_PORT:-28480}
chmod 755 "$MARGIN_DATA"
URL=http://127.0.0.1:$MARGIN_PORT
FAILED=0

result() { printf '%-8s %s\n' "$1" "$2"; [ "$1" = passed ] || FAILED=1; }

# $1: what it is; the rest: what is true when it is well. Tried for 30 seconds.
await() {
    local what=$1 try
    shift
    for try in $(seq 1 150); do
        "$@" >/dev/null 2>&1 && { result passed "$what"; return; }
        sleep 0.2
    done
    result FAILED "$what"
}

# Processes of this copy alone: they have its data folder in their environment, or its port in their command.
ours() {
    local pid
    for pid in $(pgrep -f -- "$1"); do
        tr '\0' '\n' <"/proc/$pid/environ" 2>/dev/null | grep -qx "MARGIN_DATA=$MARGIN_DATA" && echo "$pid"
    done
}
none_left() { [ -z "$(ours 'artisan|php -S|bin/start')" ]; }
came_back() { [ -n "$(ours "$1")" ] && [ "$(ours "$1" | tr '\n' ' ')" != "$2" ]; }

kill_and_await() {
    local what=$1 pattern=$2 before
    before=$(ours "$pattern" | tr '\n' ' ')
    [ -n "$before" ] || { result FAILED "$what runs"; return; }
    kill -KILL $before
    await "$what comes back" came_back "$pattern" "$before"
}

start() {
    "$ROOT/bin/start" >>"$MARGIN_DATA/start.log" 2>&1 &
    STARTED=$!
    await "$1" curl -fso /dev/null "$URL/health"
}

stop() {
    kill -INT -- "-$STARTED"
    wait "$STARTED" 2>/dev/null
    # The process beside a worker ends when it has seen that the worker has.
    await "$1" none_left
}

start "it starts"
kill_and_await "the web server" "-S 127.0.0.1:$MARGIN_PORT "
await "pages are shown again" curl -fso /dev/null "$URL/log-in"
kill_and_await "the server of student pages" "-S localhost:${MARGIN_SEEN_PORT:-$((MARGIN_PORT + 1))} "
kill_and_await "the workers" "queue:work --queue=default,second,later"
kill_and_await "the worker for what students try" "queue:work --queue=tries"
kill_and_await "the workers that fetch" "queue:work --queue=fetches"
kill_and_await "the worker for records" "queue:work records"
kill_and_await "the scheduler" "schedule:work"
kill_and_await "the stand-in" "host.php"
# Its own and no other's: the folder is where bin/start has it.
kill -KILL "$(. "$ROOT/bin/parts/common.sh" && choose_pg_folder >/dev/null && head -1 "$PG_DATA/postmaster.pid")"
sleep 1
await "the database comes back" curl -fso /dev/null "$URL/health"
stop "Ctrl-C ends all of it"
sleep 2
start "it starts two seconds later"
stop "Ctrl-C ends it again"
rm -rf "$MARGIN_DATA"
exit "$FAILED"

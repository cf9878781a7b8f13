# What bin/start and bin/test share. Sourced, not run.
#
# Settings, all optional:
#   MARGIN_DATA          folder for the database, uploads and logs   (default: .data in the project)
#   MARGIN_PORT          web address, on 127.0.0.1                   (default: 8080)
#   MARGIN_SEEN_PORT     where student pages are shown from          (default: MARGIN_PORT + 1)
#   MARGIN_DB_PORT       PostgreSQL, on 127.0.0.1                    (default: MARGIN_PORT + 2)
#   MARGIN_STAND_IN_PORT the demo's published sites, on 127.0.0.1     (default: MARGIN_PORT + 4)
#   MARGIN_CHECKERS      workers that check hand-ins                  (default: 2)
#   MARGIN_PDF           no: Chromium, which makes PDF files, is not installed
#   MARGIN_DEMO          no: without the demo course                 (default: yes)

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
# One folder, wherever a command is run from.
DATA=$(realpath -m "${MARGIN_DATA:-$ROOT/.data}")
PORT=${MARGIN_PORT:-8080}
case $PORT in *[!0-9]*) NEXT=0 ;; *) NEXT=$PORT ;; esac
SEEN_PORT=${MARGIN_SEEN_PORT:-$((NEXT + 1))}
DB_PORT=${MARGIN_DB_PORT:-$((NEXT + 2))}
STAND_IN_PORT=${MARGIN_STAND_IN_PORT:-$((NEXT + 4))}
PG_BIN=/usr/lib/postgresql/15/bin
JOBS=()

for number in "$PORT" "$SEEN_PORT" "$DB_PORT" "$STAND_IN_PORT"; do
    case $number in
        '' | *[!0-9]*) printf '"%s" is no port. MARGIN_PORT, MARGIN_SEEN_PORT, MARGIN_DB_PORT and MARGIN_STAND_IN_PORT are numbers from 1 to 65535.\n' "$number" >&2; exit 1 ;;
    esac
    [ "$number" -ge 1 ] && [ "$number" -le 65535 ] || { printf 'Port %s is not between 1 and 65535.\n' "$number" >&2; exit 1; }
done

say() { printf '%s\n' "$*"; }
fail() { printf '%s\n' "$*" >&2; exit 1; }

# Debian packages that are not installed yet, of those named.
missing_packages() {
    local name
    for name in "$@"; do
        [ "$(dpkg-query -W -f='${db:Status-Status}' "$name" 2>/dev/null)" = installed ] || printf '%s ' "$name"
    done
}

ensure_packages() {
    local missing
    missing=$(missing_packages "$@")
    [ -z "$missing" ] && return
    if [ "$(id -u)" -ne 0 ]; then
        fail "These Debian packages are missing, and only root can install them:
    apt-get install --no-install-recommends $missing"
    fi
    say "Installing ${missing}"
    # One call for all of them: installing the extensions may raise PHP itself, and they have to match.
    { apt-get update -q && DEBIAN_FRONTEND=noninteractive apt-get install -q -y --no-install-recommends $missing; } >"$DATA/apt.log" 2>&1 \
        || { tail -20 "$DATA/apt.log" >&2; fail "The packages could not be installed."; }
}

ensure_tools() {
    local tool
    for tool in php node npm composer; do
        command -v "$tool" >/dev/null || fail "\"$tool\" is missing. PHP 8.2, Node 20, npm 11 and Composer have to be there."
    done
}

# Runs a command only when the named inputs have changed since it last succeeded.
when_changed() {
    local stamp=$ROOT/.stamps/$1 inputs=$2 sum
    shift 2
    sum=$(cd "$ROOT" && find $inputs -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum)
    [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$sum" ] && return
    "$@"
    mkdir -p "$ROOT/.stamps"
    printf '%s' "$sum" >"$stamp"
}

install_libraries() {
    cd "$ROOT" || exit 1
    [ -f vendor/autoload.php ] || rm -f "$ROOT/.stamps/composer"
    [ -d node_modules/vite ] || rm -f "$ROOT/.stamps/npm"
    when_changed composer "composer.json core/composer.json packages/registry-gaps/composer.json" install_php
    when_changed npm "package.json package-lock.json" install_node
    [ -f resources/js/lib/schema.d.ts ] || rm -f "$ROOT/.stamps/types"
    when_changed types "docs/openapi.json" npm run --silent types >/dev/null
}

install_php() {
    say "Installing PHP libraries"
    composer update --no-interaction --no-progress -q || fail "Composer could not install the libraries."
}

install_node() {
    say "Installing JavaScript libraries"
    npm ci --silent || fail "npm could not install the libraries."
}

build_interface() {
    [ -f "$ROOT/public/build/manifest.json" ] || rm -f "$ROOT/.stamps/build"
    when_changed build "resources docs/openapi.json package.json vite.config.ts" build_now
}

build_now() {
    say "Building the interface"
    (cd "$ROOT" && npx vite build >"$DATA/build.log" 2>&1) || { tail -30 "$DATA/build.log" >&2; fail "The interface could not be built."; }
}

# PostgreSQL refuses to run as root: then the account that its package brings runs it.
as_pg() {
    if [ "$(id -u)" -eq 0 ]; then
        runuser -u postgres -- "$@"
    else
        "$@"
    fi
}

choose_pg_folder() {
    PG_DATA=$DATA/postgres
    if [ "$(id -u)" -eq 0 ]; then
        mkdir -p "$PG_DATA"
        chown postgres "$PG_DATA"
        if ! runuser -u postgres -- test -w "$PG_DATA" 2>/dev/null; then
            # The project lies where the postgres account may not go, such as root's own home.
            PG_DATA=/var/lib/inked-margin/$(printf '%s' "$DATA" | sha256sum | cut -c1-12)
            mkdir -p "$PG_DATA"
            chown postgres "$PG_DATA"
            say "The database lies in $PG_DATA, as the account that runs it cannot enter $DATA."
        fi
    fi
}

database_runs() {
    as_pg "$PG_BIN/pg_ctl" -D "$PG_DATA" status >/dev/null 2>&1
}

start_database() {
    choose_pg_folder
    local secret=$DATA/db-password
    local is_new=
    [ -s "$secret" ] || { (umask 077 && head -c 24 /dev/urandom | base64 | tr '+/' '-_' >"$secret"); is_new=1; }
    DB_PASSWORD=$(cat "$secret")
    if [ ! -s "$PG_DATA/PG_VERSION" ]; then
        local pwfile
        pwfile=$(mktemp)
        cat "$secret" >"$pwfile"
        [ "$(id -u)" -eq 0 ] && chown postgres "$pwfile"
        as_pg "$PG_BIN/initdb" -D "$PG_DATA" -U inked_margin --auth=scram-sha-256 --pwfile="$pwfile" -E UTF8 --locale=C.UTF-8 >"$DATA/initdb.log" 2>&1 \
            || { rm -f "$pwfile"; cat "$DATA/initdb.log" >&2; fail "The database could not be set up."; }
        rm -f "$pwfile"
    fi
    if [ -n "$is_new" ] && [ -s "$PG_DATA/PG_VERSION" ] && ! database_runs; then
        # The file with the password was lost: whoever may read the data folder may give the account a new one.
        printf "ALTER USER inked_margin PASSWORD '%s'\n" "$DB_PASSWORD" | as_pg "$PG_BIN/postgres" --single -D "$PG_DATA" postgres >/dev/null 2>&1
    fi
    if ! database_runs; then
        as_pg "$PG_BIN/pg_ctl" -D "$PG_DATA" -w -l "$PG_DATA/server.log" \
            -o "-p $DB_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='' ${PG_OPTIONS:-}" start >/dev/null 9>&- \
            || fail "PostgreSQL did not start on port $DB_PORT; see $PG_DATA/server.log. Is the port taken? Choose another with MARGIN_DB_PORT."
    fi
}

stop_database() {
    [ -n "${PG_DATA:-}" ] && as_pg "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast stop >/dev/null 2>&1
}

# Everything the application reads of its surroundings. $1: the name of the database.
set_environment() {
    mkdir -p "$DATA/storage/app" "$DATA/storage/logs" "$DATA/storage/framework/views" "$DATA/storage/framework/cache"
    [ -s "$DATA/app-key" ] || (umask 077 && printf 'base64:%s' "$(head -c 32 /dev/urandom | base64)" >"$DATA/app-key")
    export APP_KEY APP_NAME="Inked Margin" APP_ENV=${APP_ENV:-production} APP_DEBUG=false
    APP_KEY=$(cat "$DATA/app-key")
    export APP_URL=http://127.0.0.1:$PORT SEEN_URL=http://localhost:$SEEN_PORT
    export DB_CONNECTION=pgsql DB_HOST=127.0.0.1 DB_PORT DB_DATABASE=$1 DB_USERNAME=inked_margin DB_PASSWORD
    export LARAVEL_STORAGE_PATH=$DATA/storage LOG_CHANNEL=single QUEUE_CONNECTION=database SESSION_DRIVER=database CACHE_STORE=database
    export BCRYPT_ROUNDS=${BCRYPT_ROUNDS:-12}
    PGPASSWORD=$DB_PASSWORD psql -h 127.0.0.1 -p "$DB_PORT" -U inked_margin -d postgres -Atqc "select 1 from pg_database where datname = '$1'" | grep -q 1 \
        || PGPASSWORD=$DB_PASSWORD psql -h 127.0.0.1 -p "$DB_PORT" -U inked_margin -d postgres -qc "create database $1"
}

# Forgets a database, where it is there. $1: its name.
drop_database() {
    PGPASSWORD=$DB_PASSWORD psql -h 127.0.0.1 -p "$DB_PORT" -U inked_margin -d postgres -qc "drop database if exists $1" 2>/dev/null
}

php_here() {
    php -d variables_order=EGPCS -d memory_limit=512M "$@"
}

# Keeps something running: what ends is started again, after a pause that grows while it ends at once.
# $1: what it is called in its log. $2: where its process id is told, or nothing. The rest is the command.
keep_running() {
    local name=$1 pid_file=$2 pause=1 from
    shift 2
    while :; do
        from=$SECONDS
        "$@" &
        [ -z "$pid_file" ] || echo $! >"$pid_file"
        wait $!
        [ $((SECONDS - from)) -lt 30 ] || pause=1
        echo "$(date '+%F %T') $name has ended, and is started again in $pause s."
        sleep "$pause"
        pause=$((pause < 16 ? pause * 2 : 30))
    done
}

PHP_SETTINGS=(-d variables_order=EGPCS -d memory_limit=512M -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M)

# $1: host and port. Several requests are answered at once.
serve() {
    (cd "$ROOT/public" && export PHP_CLI_SERVER_WORKERS=${MARGIN_WORKERS:-4} && keep_running "The web server at $1" "" php "${PHP_SETTINGS[@]}" \
        -d upload_max_filesize=64M -d post_max_size=512M -d max_file_uploads=60 -d display_errors=0 \
        -d expose_php=0 -S "$1" ../bin/parts/router.php) >>"$DATA/web.log" 2>&1 9>&- &
    JOBS+=($!)
}

# The demo's published sites, under invented host names, on loopback. $1: its port.
stand_in() {
    (cd "$ROOT/demo/stand-in" && export STAND_IN_ROOT=$ROOT/demo/stand-in STAND_IN_SINCE=$(date +%s) \
        && keep_running "The stand-in" "" php -S "127.0.0.1:$1" host.php) >>"$DATA/stand-in.log" 2>&1 9>&- &
    JOBS+=($!)
}

# Keeps a worker at work: it ends by itself once an hour, so that it never grows old, and is started anew, as it is when it dies.
# $1: where its process id is told; each worker has one of its own. $2: the queues that it sees to, the first one first.
# $3: the connection, where it is not the usual.
work() {
    (cd "$ROOT" && keep_running "The $1" "$DATA/$1.pid" php "${PHP_SETTINGS[@]}" \
        artisan queue:work ${3:-} --queue="$2" --sleep=0.3 --max-time=3600 --tries=3) >>"$DATA/worker.log" 2>&1 9>&- &
    JOBS+=($!)
}

# All workers. $1: how many check hand-ins.
work_all() {
    local number
    work worker default,second,later
    for number in $(seq 2 "$1"); do work "worker-$number" default,second,later; done
    # What students try, and what others' servers send, holds up no hand-in.
    work tries tries
    work fetcher fetches
    work fetcher-2 fetches,slow-fetches
    # What takes minutes has a worker of its own.
    work records records records
}

# Has what is due done once a minute: forgotten work at once, old runs and unused files by night.
keep_time() {
    (cd "$ROOT" && keep_running "The scheduler" "" php -d variables_order=EGPCS -d memory_limit=512M artisan schedule:work) \
        >>"$DATA/schedule.log" 2>&1 9>&- &
    JOBS+=($!)
}

# Two that shared a data folder would stop each other's database.
claim_data_folder() {
    exec 9>"$DATA/lock"
    flock -n 9 || fail "Inked Margin is running from the data folder $DATA already. Stop it first, or choose another with MARGIN_DATA."
}

wait_for_web() {
    local try
    for try in $(seq 1 100); do
        curl -fso /dev/null "$APP_URL/log-in" && return
        # Ctrl-C reaches what is in the foreground: here that is the sleep.
        sleep 0.1 || exit 130
    done
    fail "The web server did not answer at $APP_URL; see $DATA/web.log."
}

port_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Each job leads a process group of its own (set -m), so that all its children go with it.
stop_jobs() {
    local job
    for job in "${JOBS[@]}"; do kill -TERM -- "-$job" 2>/dev/null; done
    for job in "${JOBS[@]}"; do wait "$job" 2>/dev/null; done
    JOBS=()
}

# The checks and suites that bin/check and bin/test run. Sourced, not run. Each suite writes a JUnit log into the data folder.
#
# FILTER   only tests whose names fit
# SLOW     with the tests that take minutes

PROCESSES=${MARGIN_PROCESSES:-$(nproc)}

install_for_tests() {
    ensure_packages postgresql php8.2-cli php8.2-pgsql php8.2-gd php8.2-zip php8.2-curl php8.2-mbstring php8.2-xml php8.2-intl unzip curl chromium poppler-utils nginx-light openssl systemd php8.2-fpm redis-server faketime procps \
        golang-golang-x-net-dev apache2-doc postgresql-doc-15 git-doc debian-policy zip p7zip-full libarchive-tools python3
    ensure_tools
    install_libraries
    case ${ONLY:-} in '' | browser | running | faults) build_interface ;; esac
}

# Passed and failed, as a line of their own.
count() { echo "$1 $2" >>"$COUNTS"; }

# A check that has no tests to count: it counts as one.
check() {
    local name=$1 from=$SECONDS log=$DATA/check-${1//[^A-Za-z]/-}.log
    shift
    if "$@" >"$log" 2>&1; then
        say "passed  $name, $((SECONDS - from)) s"
        count 1 0
    else
        say "FAILED  $name"
        cat "$log"
        count 0 1
    fi
}

# A suite that writes a JUnit log, whose cases are counted. A suite that breaks off counts as one failure more.
suite() {
    local name=$1 log=$DATA/$1.xml code=0 from=$SECONDS passed failed
    shift
    rm -f "$log"
    say "running $name"
    "$@" >"$DATA/$name.log" 2>&1 || code=$?
    read -r passed failed < <(php "$ROOT/bin/parts/count-cases.php" "$log"; echo)
    count "$passed" "$failed"
    if [ "$code" -ne 0 ]; then
        tail -150 "$DATA/$name.log"
        [ "$failed" -gt 0 ] || count 0 1
    fi
    say "        $name: $passed passed, $failed failed, $((SECONDS - from)) s"
}

check_php() {
    check "Pint" vendor/bin/pint --test
    check "PHPStan, core" vendor/bin/phpstan analyse -c core/phpstan.neon --no-progress --memory-limit=1G
    check "PHPStan, application" vendor/bin/phpstan analyse -c phpstan.neon --no-progress --memory-limit=1G
}

check_interface() { check "Prettier, TypeScript, ESLint and circles" npm run --silent check; }

pest() {
    local config=$1
    shift
    php -d memory_limit=1G vendor/bin/pest -c "$config" ${FILTER:+--filter="$FILTER"} "$@"
}

suite_architecture() { suite architecture pest phpunit.architecture.xml --log-junit "$DATA/architecture.xml"; }

suite_core() {
    suite core pest core/phpunit.xml --test-directory=core/tests ${SLOW:---exclude-group=slow} --parallel --processes="$PROCESSES" \
        --log-junit "$DATA/core.xml"
}

suite_unit() {
    suite unit npx vitest run ${FILTER:+-t "$FILTER"} --reporter=default --reporter=junit --outputFile.junit="$DATA/unit.xml"
}

# Each process has a database and a folder of its own.
suite_feature() {
    (
        APP_ENV=testing set_environment inked_margin_feature
        export APP_ENV=testing QUEUE_CONNECTION=sync SESSION_DRIVER=array CACHE_STORE=array BCRYPT_ROUNDS=4
        suite feature pest phpunit.xml --parallel --processes="$PROCESSES" --log-junit "$DATA/feature.xml"
    )
}

# Real servers, each with a database of its own.
suite_running() {
    (
        set_environment inked_margin_running
        suite running pest phpunit.running.xml --testsuite Running --log-junit "$DATA/running.xml"
    )
}

suite_faults() {
    (
        set_environment inked_margin_running
        suite faults pest phpunit.running.xml --testsuite Faults --log-junit "$DATA/faults.xml"
    )
}

# Two applications: one with the demo, and one that nobody uses yet, whose work is done in the request itself. Their databases are new
# each time.
suite_browser() {
    export BCRYPT_ROUNDS=4
    drop_database inked_margin_empty
    drop_database inked_margin_browser
    APP_ENV=production set_environment inked_margin_empty
    php_here artisan migrate --force -q || fail "The empty application could not be set up for the browser."
    APP_URL=http://127.0.0.1:$EMPTY_PORT QUEUE_CONNECTION=sync serve "127.0.0.1:$EMPTY_PORT"

    APP_ENV=production set_environment inked_margin_browser
    export DB_QUEUE_RETRY_AFTER=4 STAND_IN=127.0.0.1:$STAND_IN_PORT
    stand_in "$STAND_IN_PORT"
    php_here artisan migrate --force -q && php_here artisan course:open || fail "The application could not be set up for the browser."
    serve "127.0.0.1:$PORT"
    serve "localhost:$SEEN_PORT"
    work_all 1
    wait_for_web
    suite browser env MARGIN_URL="$APP_URL" MARGIN_EMPTY_URL="http://127.0.0.1:$EMPTY_PORT" MARGIN_RESULTS="$DATA/results" \
        MARGIN_WORKER="$DATA/worker.pid" PLAYWRIGHT_JUNIT_OUTPUT_FILE="$DATA/browser.xml" \
        npx playwright test ${FILTER:+-g "$FILTER"}
}

free_port() {
    local port
    for port in $(shuf -i 20000-39000 -n 50); do
        port_free "$port" && port_free $((port + 1)) && port_free $((port + 2)) && port_free $((port + 3)) && port_free $((port + 4)) && { echo "$port"; return; }
    done
    fail "There is no free port."
}

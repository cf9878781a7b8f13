<?php

declare(strict_types=1);

/**
 * Measures the application under the load of a school: 200 students, 10 assignments, 5 attempts each, which is 10,000
 * hand-ins; every list by itself, then 20 readers and 5 markers at once, and a class sheet of 200 by 40 in the browser.
 * Writes docs/measures.md.
 *
 *   . the DB_… settings of a PostgreSQL of your own; php tests/Load/load.php [--minutes=5]
 */

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Promise\Each;
use Tests\Running\ClassZip;
use Tests\Running\Servers;
use Tests\Running\Teacher;

require dirname(__DIR__, 2).'/vendor/autoload.php';

const STUDENTS = 200;
const ASSIGNMENTS = 10;
const ATTEMPTS = 5;
const REQUIREMENTS = 40;
const ROUNDS = 30;

$minutes = (float) (getopt('', ['minutes::'])['minutes'] ?? 5);
$servers = new Servers(['SESSION_DRIVER' => 'database']);
try {
    [$url] = $servers->web('web');
    $servers->artisan('migrate', '--force');
    $servers->worker('worker');
    $teacher = new Teacher([$url]);
    $first = $teacher->set(STUDENTS);
    $teacher->drop($first, ClassZip::of(1, STUDENTS));
    if ($teacher->awaitChecked($first, STUDENTS, 300) < STUDENTS) {
        throw new RuntimeException('The class was not checked in time.');
    }
    $servers->sql(multiply($first));
    $servers->sql('vacuum analyze');
    fwrite(STDERR, $servers->sql('select count(*) from hand_ins')." hand-ins\n");

    $course = $servers->sql('select id from courses limit 1');
    $handIn = $servers->sql('select id from hand_ins where counts order by id limit 1');
    $student = $servers->sql('select id from students order by id limit 1');
    $kind = 'rule=markup/missing-alt&variant=none';
    $lists = [
        'What waits (shelf)' => '/api/shelf',
        'Course' => "/api/courses/$course",
        'Assignment, with its 200 hand-ins' => "/api/assignments/$first",
        'In-tray' => "/api/assignments/$first/arrivals",
        'Class sheet' => "/api/assignments/$first/class-sheet",
        'One slip through the class' => "/api/assignments/$first/slips?$kind",
        'Next lesson' => "/api/assignments/$first/lesson?kinds[]=markup/missing-alt,none",
        'Replies that are ready' => "/api/assignments/$first/replies",
        'Gradebook, 200 by 10' => "/api/courses/$course/gradebook",
        'One student’s grades' => "/api/students/$student/grades",
        'The term in pictures' => "/api/courses/$course/term",
        'Search' => '/api/search?q=student+nr17',
        'Desk' => "/api/hand-ins/$handIn",
        'Attempts' => "/api/hand-ins/$handIn/attempts",
        'Reply' => "/api/hand-ins/$handIn/reply",
    ];
    $rows = array_map(fn (string $name, string $path) => line($teacher, $name, $path), array_keys($lists), $lists);
    $together = together($url, $servers, array_values($lists), $minutes);
    widen($teacher, $first);
    $rows[] = line($teacher, 'Class sheet, 200 by '.REQUIREMENTS, $lists['Class sheet']);
    /**
     * @var array{opened: float, rows: float, columns: float, slow: array{worst: float, stutters: int, of: int}} $drawn
     */
    $drawn = json_decode($servers->run(['node', __DIR__.'/wide.mjs', $url, $first]), true, flags: JSON_THROW_ON_ERROR);
    file_put_contents(dirname(__DIR__, 2).'/docs/measures.md', report($rows, $together, $minutes, $drawn));
} finally {
    $servers->stop();
}

/** A list's line of the table: how long it takes, asked again and again, and how much it is. */
function line(Teacher $teacher, string $name, string $path): string
{
    $times = [];
    for ($round = 0; $round < ROUNDS; $round++) {
        $start = hrtime(true);
        $answer = $teacher->ask('GET', $path);
        $times[] = (hrtime(true) - $start) / 1e6;
        if ($answer->getStatusCode() !== 200) {
            throw new RuntimeException("$path: {$answer->getStatusCode()}");
        }
    }
    sort($times);
    $kilobytes = strlen((string) $answer->getBody()) / 1024;
    $line = sprintf(
        '| %s | %.0f | %.0f | %.0f |',
        $name,
        $times[intdiv(ROUNDS, 2)],
        $times[(int) (0.95 * ROUNDS)],
        $kilobytes,
    );
    fwrite(STDERR, "$line\n");

    return $line;
}

/** Has the class checked against many more requirements. */
function widen(Teacher $teacher, string $work): void
{
    $requirements = array_map(
        fn (int $nth) => "  - {id: r$nth, title: Requirement number $nth, kind: count, selector: p, at_least: "
            .(1 + $nth % 4).', points: 2}',
        range(1, REQUIREMENTS),
    );
    $source = "title: Round\nrequirements:\n".implode("\n", $requirements)."\n";
    $teacher->json('PUT', "/api/assignments/$work/brief", ['json' => ['source' => $source]]);
    $until = microtime(true) + 300;
    do {
        usleep(500_000);
        $filled = array_map(fn (array $row) => count(array_filter((array) $row['cells'])), $teacher->rows($work));
    } while (min($filled) < REQUIREMENTS && microtime(true) < $until);
    if (min($filled) < REQUIREMENTS) {
        throw new RuntimeException('The class was not checked in time.');
    }
}

/** SQL that makes all assignments and attempts of the first assignment's hand-ins, with what was checked of them. */
function multiply(string $first): string
{
    $assignments = ASSIGNMENTS;
    $attempts = ATTEMPTS;

    return <<<SQL
        create temp table work as select gen_random_uuid() as id, n from generate_series(2, $assignments) n;
        insert into assignments (id, course_id, title, summary, students_see, due_at, created_at, updated_at)
            select w.id, a.course_id, 'Work '||w.n, '', a.students_see, now() - interval '1 day' * w.n, now(), now() from work w, assignments a where a.id = '$first';
        insert into briefs (id, assignment_id, version, source) select gen_random_uuid(), w.id, 1, b.source from work w, briefs b where b.assignment_id = '$first';
        create temp table made as
            select gen_random_uuid() as id, gen_random_uuid() as run, h.id as old_hand_in, w.id as assignment_id, a as attempt, h.student_id
            from hand_ins h, (select id from work union all select '$first') w, generate_series(1, $attempts) a
            where h.assignment_id = '$first' and not (w.id = '$first' and a = 1);
        update hand_ins set counts = false, waits = false where assignment_id = '$first';
        insert into blobs (sha256, bytes) select encode(sha256((id::text)::bytea), 'hex'), 1 from made;
        insert into hand_ins (id, assignment_id, student_id, attempt, archive_name, archive_sha256, site_name, arrived_at, folders, counts, waits, covering_note)
            select m.id, m.assignment_id, m.student_id, m.attempt, h.archive_name, encode(sha256((m.id::text)::bytea), 'hex'), h.site_name,
                h.arrived_at + interval '1 minute' * m.attempt, h.folders, m.attempt = $attempts, m.attempt = $attempts, ''
            from made m join hand_ins h on h.id = m.old_hand_in;
        insert into hand_in_files (hand_in_id, path, sha256, bytes) select m.id, f.path, f.sha256, f.bytes from made m join hand_in_files f on f.hand_in_id = m.old_hand_in;
        create temp table runs as select m.run as id, m.id as hand_in_id, r.id as old from made m join check_runs r on r.hand_in_id = m.old_hand_in;
        insert into check_runs (id, hand_in_id, brief_id, engine, state, done, steps, awarded, possible, created_at, finished_at, key, faults, departures, tidies, scheme)
            select n.id, n.hand_in_id, r.brief_id, r.engine, r.state, r.done, r.steps, r.awarded, r.possible, r.created_at, r.finished_at, r.key, r.faults, r.departures, r.tidies, r.scheme
            from runs n join check_runs r on r.id = n.old;
        insert into findings (check_run_id, position, rule, weight, mark, file, start_line, start_column, start_offset, end_line, end_column, end_offset, message, remedy, related, requirement, fingerprint, variant, mend, free)
            select n.id, position, rule, weight, mark, file, start_line, start_column, start_offset, end_line, end_column, end_offset, message, remedy, related, requirement, fingerprint, variant, mend, free
            from runs n join findings f on f.check_run_id = n.old;
        insert into outcomes (id, check_run_id, position, requirement, title, outcome, measured, expected, awarded, possible, shortfalls, how, choices)
            select gen_random_uuid(), n.id, position, requirement, title, outcome, measured, expected, awarded, possible, shortfalls, how, choices
            from runs n join outcomes o on o.check_run_id = n.old;
        insert into surveys (check_run_id, content) select n.id, s.content from runs n join surveys s on s.check_run_id = n.old;
        SQL;
}

/**
 * Readers who turn the lists over, and markers who write notes, at once.
 *
 * @param  list<string>  $paths
 * @return array{requests: int, errors: int, notes: int, median: float, slow: float}
 */
function together(string $url, Servers $servers, array $paths, float $minutes): array
{
    $until = microtime(true) + 60 * $minutes;
    $times = [];
    $errors = $notes = 0;
    $handIns = explode("\n", $servers->sql('select id from hand_ins where counts order by random() limit 400'));
    $client = function () use ($url): array {
        $cookies = new CookieJar;
        $client = new Client(['base_uri' => $url, 'cookies' => $cookies, 'http_errors' => false, 'timeout' => 60]);
        $client->get('/api/first-run');
        $token = fn () => urldecode((string) $cookies->getCookieByName('XSRF-TOKEN')?->getValue());
        $client->post(
            '/api/log-in',
            [
                'json' => ['email' => 'rowan@example.org', 'password' => 'paper-and-ink'],
                'headers' => ['Accept' => 'application/json', 'X-XSRF-TOKEN' => $token()],
            ],
        );

        return [$client, $token];
    };
    $all = array_map(fn () => $client(), range(1, 25));
    $one = function (int $who, int $turn) use ($all, $paths, $handIns, &$times, &$errors, &$notes) {
        [$http, $token] = $all[$who];
        $isMarker = $who >= 20;
        $start = hrtime(true);
        $headers = ['Accept' => 'application/json', 'X-XSRF-TOKEN' => $token()];
        $promise = $isMarker && $turn % 2 === 1
            ? $http->postAsync(
                "/api/hand-ins/{$handIns[($who * 7 + $turn) % count($handIns)]}/notes",
                [
                    'json' => ['kind' => 'note', 'body' => "Note $who $turn", 'file' => 'index.html', 'line' => 3],
                    'headers' => $headers,
                ],
            )
            : $http->getAsync(
                $isMarker
                    ? "/api/hand-ins/{$handIns[($who * 7 + $turn) % count($handIns)]}"
                    : $paths[($who + $turn) % count($paths)],
                ['headers' => $headers],
            );

        return $promise->then(function ($answer) use (&$times, &$errors, &$notes, $start, $isMarker, $turn): void {
            $times[] = (hrtime(true) - $start) / 1e6;
            $errors += $answer->getStatusCode() >= 400 ? 1 : 0;
            $notes += $isMarker && $turn % 2 === 1 && $answer->getStatusCode() === 201 ? 1 : 0;
        }, function () use (&$errors): void {
            $errors++;
        });
    };
    $requests = (function () use ($one, $until) {
        for ($turn = 0; microtime(true) < $until; $turn++) {
            for ($who = 0; $who < 25; $who++) {
                yield $one($who, $turn);
            }
        }
    })();
    Each::ofLimit($requests, 25)->wait();
    sort($times);
    $kept = (int) $servers->sql("select count(*) from remarks where kind = 'note'");
    $errors += $kept === $notes ? 0 : 1;

    return [
        'requests' => count($times), 'errors' => $errors, 'notes' => $notes,
        'median' => $times[intdiv(count($times), 2)], 'slow' => $times[(int) (0.95 * count($times))],
    ];
}

/**
 * @param  list<string>  $rows
 * @param  array{requests: int, errors: int, notes: int, median: float, slow: float}  $together
 * @param  array{opened: float, rows: float, columns: float, slow: array{worst: float, stutters: int, of: int}}  $drawn
 */
function report(array $rows, array $together, float $minutes, array $drawn): string
{
    $cores = (int) shell_exec('nproc');

    return implode("\n", [
        '# Measures',
        '',
        '200 students, 10 assignments, 5 attempts each: 10,000 hand-ins with what was checked of them. nginx and php-fpm by the files in '
            ."`deploy/`, PostgreSQL, on a machine of $cores cores that the measuring itself runs on, too. Made by `php tests/Load/load.php`.",
        '',
        '| list | median, ms | 95 %, ms | KB |',
        '|---|---|---|---|',
        ...$rows,
        '',
        sprintf(
            '20 readers who turn over these lists and 5 markers who open desks and write notes, all at once and without a pause, for %g minutes: '
                .'%d requests, %d errors, %d notes kept; median %.0f ms, 95 %% within %.0f ms.',
            $minutes, $together['requests'], $together['errors'], $together['notes'], $together['median'],
            $together['slow'],
        ),
        '',
        sprintf(
            'The class sheet of %d students by %d requirements in Chromium, without a graphics card: squares are seen %.0f ms after its '
                .'address is entered; rows are sorted after %.0f ms, columns after %.0f; scrolled through for the first time, %d of %d '
                .'frames take longer than 33 ms, the longest %.0f.',
            STUDENTS, REQUIREMENTS, $drawn['opened'], $drawn['rows'], $drawn['columns'],
            $drawn['slow']['stutters'], $drawn['slow']['of'], $drawn['slow']['worst'],
        ),
        '',
    ]);
}

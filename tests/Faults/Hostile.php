<?php

declare(strict_types=1);

namespace Tests\Faults;

use Psr\Http\Message\ResponseInterface;
use Tests\Running\Teacher;
use ZipArchive;

/** What strangers may do, a method for each class of it. What each measures is printed beside it. */
final class Hostile
{
    /** Seconds that a check within the limits may take (docs/collecting.md), and a wait behind one. */
    private const LONGEST_CHECK = 20;

    private readonly Teacher $teacher;

    /** Without a session of anybody. */
    private readonly Teacher $stranger;

    private string $course = '';

    private string $work = '';

    /** @var array<string, string> address of the own page, by handle */
    private array $pages = [];

    private int $held = 0;

    private int $broke = 0;

    public function __construct(private readonly string $url, string $email, string $password)
    {
        $this->teacher = new Teacher([$url]);
        $this->teacher->ask('GET', '/api/first-run');
        $this->teacher->json('POST', '/api/log-in', ['json' => ['email' => $email, 'password' => $password]]);
        $this->stranger = new Teacher([$url]);
        $this->stranger->ask('GET', '/api/first-run');
    }

    /** @return int the exit code */
    public function run(string $only): int
    {
        $attacks = [
            'checks' => $this->checks(...), 'queue' => $this->queue(...), 'space' => $this->space(...),
            'locks' => $this->locks(...), 'records' => $this->records(...), 'dates' => $this->dates(...),
            'addresses' => $this->addresses(...), 'odd' => $this->odd(...), 'answers' => $this->answers(...),
            'accounts' => $this->accounts(...),
        ];
        $this->begin();
        try {
            foreach ($attacks as $name => $attack) {
                if ($only === '' || $only === $name) {
                    echo "\n$name\n";
                    $attack();
                }
            }
        } finally {
            $this->teacher->ask('DELETE', "/api/courses/$this->course", ['json' => ['title' => 'Hostile trial']]);
        }
        echo "\n$this->held held, $this->broke broke\n";

        return $this->broke > 0 || $this->held === 0 ? 1 : 0;
    }

    /** A course of its own, with six students. */
    private function begin(): void
    {
        $made = fn (string $path, array $json): string => (string) $this->teacher->json('POST', $path, ['json' => $json])['id'];
        $this->course = $made('/api/courses', ['title' => 'Hostile trial', 'school' => '', 'term' => '', 'timeZone' => 'UTC']);
        $roster = "name,handle\n".implode("\n", array_map(fn (int $nth) => "Stranger Nr$nth,s$nth", range(1, 6)));
        $this->teacher->json('PUT', "/api/courses/$this->course/roster", ['json' => ['text' => $roster]]);
        $this->work = $made("/api/courses/$this->course/assignments", ['title' => 'Trial', 'summary' => '', 'due' => null]);
        $this->teacher->json('PUT', "/api/assignments/$this->work/brief", ['json' => [
            'source' => "title: Trial\nrequirements:\n  - {id: t, title: Titles, kind: titles, points: 4}\n",
        ]]);
        $this->teacher->ask('PUT', "/api/assignments/$this->work", ['json' => [
            'title' => 'Trial', 'summary' => '', 'due' => null, 'students_see' => 'all', 'takes_late' => true,
        ]]);
        foreach ($this->teacher->json('POST', "/api/courses/$this->course/student-links") as $student) {
            $this->pages[$student['handle']] = '/api/my/'.basename((string) $student['link']);
        }
    }

    /** What is the end of a check is that check's alone, and ends in time. */
    private function checks(): void
    {
        foreach (HostileSites::all() as $name => $files) {
            $from = microtime(true);
            $answer = $this->sent('s1', self::zip($files), 'hand-in');
            $id = json_decode((string) $answer->getBody(), true)['id'] ?? null;
            $run = is_string($id) ? $this->await($id, 3 * self::LONGEST_CHECK) : null;
            $seconds = microtime(true) - $from;
            $isRefused = $answer->getStatusCode() === 422;
            $this->say(
                "a hand-in with $name",
                ($isRefused || ($run['state'] ?? '') === 'finished') && $seconds < self::LONGEST_CHECK,
                sprintf('%s after %.1f s', $isRefused ? self::words($answer) : $run['state'] ?? 'nothing', $seconds),
            );
        }
    }

    /** Others wait for one check of somebody, not for all; a try does not hold up the web. */
    private function queue(): void
    {
        $heavy = HostileSites::heavy();
        foreach (range(1, 6) as $nth) {
            $this->handIn('s1', self::zip($heavy + ["n$nth.html" => "<p>$nth</p>"]));
        }
        $from = microtime(true);
        $run = $this->await((string) $this->handIn('s2', self::zip(['index.html' => self::page('<p>honest</p>')])), 120);
        $seconds = microtime(true) - $from;
        $this->say('another student behind six heavy hand-ins', ($run['state'] ?? '') === 'finished' && $seconds < 2 * self::LONGEST_CHECK, sprintf('checked after %.1f s', $seconds));

        $tries = array_map(fn () => $this->beginTry('s3', self::zip($heavy)), range(1, 4));
        $states = array_map(fn (?string $id) => $id === null ? 404 : $this->status('GET', "{$this->pages['s3']}/tries/$id"), $tries);
        $this->say('four tries at once', count(array_keys($states, 200, true)) === 1, 'answers '.implode(' ', $states).': one is left');
        $from = microtime(true);
        $status = $this->status('GET', '/api/first-run');
        $this->say('the web while a try is checked', $status === 200 && microtime(true) - $from < 2, sprintf('%d after %.2f s', $status, microtime(true) - $from));
        $from = microtime(true);
        $try = (string) $this->beginTry('s4', self::zip(['index.html' => self::page('<p>honest</p>')]));
        do {
            usleep(300_000);
            $state = json_decode((string) $this->stranger->ask('GET', "{$this->pages['s4']}/tries/$try")->getBody(), true)['state'] ?? '';
        } while (in_array($state, ['waiting', 'running'], true) && microtime(true) - $from < 90);
        $this->say('an honest try behind a heavy one', $state === 'finished', sprintf('%s after %.1f s', $state, microtime(true) - $from));
    }

    /** What unpacks to far more than it is is refused, and says by how much. */
    private function space(): void
    {
        $text = str_repeat('a', 990_000);
        $small = array_combine(array_map(fn (int $nth) => "n$nth.txt", range(1, 800)), array_fill(0, 800, $text));
        $bomb = self::zip($small);
        $this->refused('790 MB in entries under 1 MB ('.strlen($bomb).' bytes)', 's1', $bomb, 'is the most');
        $this->refused('one entry of 99 MB', 's1', self::zip(['a.txt' => str_repeat('a', 99_000_000)]), 'is the most');
        $inner = self::zip(['index.html' => self::page('x'), 'a.txt' => str_repeat('a', 900_000)]);
        $class = [];
        foreach (range(1, 100) as $nth) {
            $class["s$nth.zip"] = $inner;
        }
        $zip = self::zip($class);
        $answer = $this->teacher->ask('POST', "/api/assignments/$this->work/arrivals", ['multipart' => [
            ['name' => 'files[]', 'filename' => 'class.zip', 'contents' => $zip],
        ]]);
        $reason = $this->reasonOf('class.zip');
        $this->say('a zip of zips ('.strlen($zip).' bytes) that comes to 90 MB', $answer->getStatusCode() === 202 && str_contains($reason, 'is the most'), $reason);
        $tables = self::zip(['records.json' => '{"format":1}', 'tables/courses.jsonl' => str_repeat(' ', 300_000_000)]);
        $answer = $this->import($tables);
        $this->say('records that come to 300 MB ('.strlen($tables).' bytes)', $answer->getStatusCode() === 422, self::words($answer));
        $begun = array_map(fn () => $this->status('POST', "{$this->pages['s1']}/assignments/$this->work/uploads", ['json' => ['name' => 'a.zip', 'bytes' => 60_000_000]]), range(1, 6));
        $this->say('six uploads that nobody finishes', ! in_array(500, $begun, true), 'answers '.implode(' ', $begun).'; two are kept, for an hour');
    }

    /** Whoever tries wrong things slows down nobody else. */
    private function locks(): void
    {
        $link = $this->teacher->json('PUT', "/api/courses/$this->course/link", ['json' => ['word' => 'lantern']])['link'];
        $token = basename((string) $link);
        foreach (range(1, 205) as $time) {
            $this->stranger->ask('POST', '/api/log-in', ['json' => []]);
            $this->stranger->ask('GET', '/api/my/'.str_repeat('x', 43));
        }
        $this->say('205 empty log-ins and false links, then a right one', $this->status('GET', $this->pages['s2']) === 200, 'the right link opens');
        $this->say('the same, then the link of a course', $this->status('GET', "/api/join/$token") === 200, 'it opens');
        $guessed = array_map(fn (int $time) => $this->status('POST', "/api/join/$token", ['json' => ['handle' => 's2', 'word' => "guess$time"]]), range(1, 40));
        $this->say('40 words guessed for one handle', ! in_array(200, $guessed, true), count(array_keys($guessed, 429, true)).' were slowed down');
        $this->say('meanwhile another handle with the word', $this->status('POST', "/api/join/$token", ['json' => ['handle' => 's3', 'word' => 'lantern']]) === 200, 'opens');
    }

    /** Tampered records are refused with a sentence, or harmless. */
    private function records(): void
    {
        $this->teacher->json('POST', "/api/courses/$this->course/records");
        $until = microtime(true) + 60;
        do {
            usleep(300_000);
            $state = $this->teacher->json('GET', "/api/courses/$this->course/records")['state'] ?? '';
        } while ($state !== 'ready' && microtime(true) < $until);
        $bytes = (string) $this->teacher->ask('GET', "/api/courses/$this->course/records.zip")->getBody();
        $statuses = [];
        for ($trial = 1; $trial <= 9; $trial++) {
            $answer = $this->import(self::tampered($bytes));
            $statuses[] = $answer->getStatusCode();
        }
        $this->say('nine tampered records of a course that is here', array_diff($statuses, [422]) === [], 'answers '.implode(' ', $statuses));
    }

    /** No time beyond the year 2100 gets in. */
    private function dates(): void
    {
        foreach (['9999-12-31T23:59', '1899-01-01T00:00', '+275760-09-13T00:00', '2026-13-45T99:99'] as $due) {
            $status = $this->teacher->ask('PUT', "/api/assignments/$this->work", ['json' => [
                'title' => 'Trial', 'summary' => '', 'due' => $due, 'students_see' => 'all', 'takes_late' => true,
            ]])->getStatusCode();
            $this->say("a due time of $due", $status === 422, "answer $status");
        }
        $status = $this->teacher->ask('POST', "/api/courses/$this->course/carry-over", ['json' => ['title' => 'x', 'term' => '', 'weeks' => 500_000]])->getStatusCode();
        $this->say('a carry-over by 500,000 weeks', $status === 422, "answer $status");
    }

    /** Nothing of the machine's own is fetched, however it is written, and few addresses wait. */
    private function addresses(): void
    {
        foreach ([
            'http://127.0.0.1/', 'http://[::1]/', 'http://0x7f.1/', 'http://2130706433/', 'http://[::ffff:127.0.0.1]/', 'http://169.254.169.254/latest/',
            'http://[64:ff9b::7f00:1]/', 'http://[64:ff9b:1::1]/', 'http://[fec0::1]/', 'http://10.0.0.1/', 'file:///etc/passwd', 'gopher://127.0.0.1/',
            'http://localhost/', 'http://[::127.0.0.1]/', 'http://user@127.0.0.1/',
        ] as $address) {
            $answer = $this->stranger->ask('POST', "{$this->pages['s5']}/assignments/$this->work/address", ['json' => [
                'address' => $address, 'note' => '',
            ]]);
            $reason = $answer->getStatusCode() === 202 ? $this->reasonOf($address) : self::words($answer);
            $this->say("the address $address", ! str_contains($reason, 'taken'), $reason);
        }
        $statuses = array_map(fn (int $nth) => $this->status('POST', "{$this->pages['s6']}/assignments/$this->work/address", ['json' => ['address' => "https://n$nth.invalid/", 'note' => '']]), range(1, 12));
        $this->say('twelve addresses of one student', count(array_keys($statuses, 202, true)) <= 3, 'answers '.implode(' ', $statuses));
    }

    /** No call ends in an error of the server's own. */
    private function odd(): void
    {
        $values = [null, true, -1, 1.5, PHP_INT_MAX, '', 'x', "\0", "\xff", str_repeat('x', 70_000), [], ['x'], ['a' => ['b' => []]], [[['x']]]];
        $description = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json'), true);
        $calls = [];
        foreach ($description['paths'] as $path => $methods) {
            foreach (array_keys($methods) as $method) {
                $calls[] = [strtoupper((string) $method), (string) $path];
            }
        }
        $statuses = [];
        $wrong = [];
        for ($trial = 1; $trial <= 400; $trial++) {
            [$method, $path] = $calls[mt_rand(0, count($calls) - 1)];
            if ($path === '/api/log-out' || $method === 'DELETE') {
                continue;
            }
            $places = ['{course}' => $this->course, '{assignment}' => $this->work, '{token}' => basename($this->pages['s2'])];
            $address = preg_replace_callback('/\{\w+\}/', fn (array $one) => mt_rand(0, 3) > 0 ? $places[$one[0]] ?? '%00' : ['%00', '%FF', '..', str_repeat('a', 300), '-1'][mt_rand(0, 4)], $path);
            $value = $values[mt_rand(0, count($values) - 1)];
            $body = json_encode(array_fill_keys(['title', 'text', 'source', 'points', 'name', 'email', 'due', 'columns', 'does', 'rule', 'body', 'file'], $value), JSON_INVALID_UTF8_SUBSTITUTE);
            $answer = $this->teacher->ask($method, (string) $address.['', '', '?q[]=x&rule[]=y', '?path=%00', '?offset=-1&before=x'][mt_rand(0, 4)], $method === 'GET' ? [] : ['body' => $body]);
            $status = $answer->getStatusCode();
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
            if ($status >= 500) {
                $wrong[] = "$method $address";
            }
        }
        ksort($statuses);
        $this->say(array_sum($statuses).' odd calls', $wrong === [], implode(', ', array_map(fn (int $status, int $times) => "$status: $times", array_keys($statuses), $statuses)).' '.implode('; ', $wrong));
    }

    /** How long an answer takes tells nobody who has an account. */
    private function accounts(): void
    {
        $time = function (string $path, array $json): float {
            do {
                $from = microtime(true);
                $status = $this->stranger->ask('POST', $path, ['json' => $json])->getStatusCode();
                $seconds = microtime(true) - $from;
                // Tried often a moment ago: it is slowed down for a minute.
            } while ($status === 429 && sleep(10) === 0);

            return $seconds;
        };
        $times = ['known' => [], 'unknown' => []];
        for ($turn = 1; $turn <= 4; $turn++) {
            $times['known'][] = $time('/api/log-in', ['email' => 'rowan@wrenquay.invalid', 'password' => 'wrong-password']);
            $times['unknown'][] = $time('/api/log-in', ['email' => "nobody$turn@wrenquay.invalid", 'password' => 'wrong-password']);
        }
        [$known, $unknown] = [self::median($times['known']), self::median($times['unknown'])];
        $this->say('a wrong log-in, known and unknown', abs($known - $unknown) < 0.25 * max($known, $unknown), sprintf('%.0f and %.0f ms', 1000 * $known, 1000 * $unknown));
        $status = $this->teacher->ask('PUT', '/api/me', ['json' => ['name' => 'Rowan Hale-Quay', 'current' => 'paper-and-ink', 'password' => 'basketball']])->getStatusCode();
        $this->say('a password that many use', $status === 422, "answer $status");
        $statuses = array_map(fn (int $nth) => $this->teacher->ask(
            'POST',
            "/api/courses/$this->course/invitations",
            ['json' => ['email' => "stranger$nth@wrenquay.invalid", 'role' => 'marker']],
        )->getStatusCode(), range(1, 12));
        $this->say('twelve invitations in a minute', in_array(429, $statuses, true), 'answers '.implode(' ', $statuses));
    }

    /** Every answer has its policy, and says nothing of what is inside. */
    private function answers(): void
    {
        foreach (['/', '/api/none', '/api/me', '/health', '/api/courses/x', '/api/my/x'] as $address) {
            $answer = $this->stranger->ask('GET', $address);
            $isThere = $answer->hasHeader('Content-Security-Policy') && $answer->hasHeader('X-Content-Type-Options');
            $isSilent = ! str_contains((string) $answer->getBody(), 'App\\') && ! str_contains((string) $answer->getBody(), 'vendor/');
            $this->say("the answer at $address", $isThere && $isSilent, (string) $answer->getStatusCode());
        }
        $upload = json_decode((string) $this->stranger->ask('POST', "{$this->pages['s1']}/assignments/$this->work/uploads", ['json' => ['name' => 'a.zip', 'bytes' => 4]])->getBody(), true)['id'] ?? '';
        $status = $this->teacher->ask('PUT', "/api/uploads/$upload?offset=0", ['body' => 'evil'])->getStatusCode();
        $this->say('an instructor’s bytes in a student’s upload', $status === 404, "answer $status");
    }

    private function say(string $what, bool $isHeld, string $measure): void
    {
        $isHeld ? $this->held++ : $this->broke++;
        printf("  %s  %s: %s\n", $isHeld ? 'held ' : 'BROKE', $what, mb_substr($measure, 0, 160));
    }

    /** @param  array<string, mixed>  $options */
    private function status(string $method, string $path, array $options = []): int
    {
        return $this->stranger->ask($method, $path, $options)->getStatusCode();
    }

    private function upload(string $handle, string $bytes): string
    {
        $begun = json_decode((string) $this->stranger->ask('POST', "{$this->pages[$handle]}/assignments/$this->work/uploads", ['json' => ['name' => "$handle.zip", 'bytes' => strlen($bytes)]])->getBody(), true);
        $id = (string) ($begun['id'] ?? '');
        for ($at = 0; $at < strlen($bytes); $at += 4_000_000) {
            $this->stranger->ask('PUT', "{$this->pages[$handle]}/uploads/$id?offset=$at", ['body' => substr($bytes, $at, 4_000_000)]);
        }

        return $id;
    }

    /** @param  string  $for  what is done with it: hand-in, or try */
    private function sent(string $handle, string $bytes, string $for): ResponseInterface
    {
        $upload = $this->upload($handle, $bytes);

        return $this->stranger->ask('POST', "{$this->pages[$handle]}/uploads/$upload/$for", ['json' => ['packed' => false]]);
    }

    /** @return string|null the id of the hand-in; null where it was refused */
    private function handIn(string $handle, string $bytes): ?string
    {
        return json_decode((string) $this->sent($handle, $bytes, 'hand-in')->getBody(), true)['id'] ?? null;
    }

    private function beginTry(string $handle, string $bytes): ?string
    {
        return json_decode((string) $this->sent($handle, $bytes, 'try')->getBody(), true)['id'] ?? null;
    }

    private function refused(string $what, string $handle, string $bytes, string $words): void
    {
        $from = microtime(true);
        $answer = $this->sent($handle, $bytes, 'hand-in');
        $this->say(
            $what,
            $answer->getStatusCode() === 422 && str_contains((string) $answer->getBody(), $words),
            sprintf('%.1f s, %s', microtime(true) - $from, self::words($answer)),
        );
    }

    /** @return array<string, mixed>|null the run of a hand-in once it is over */
    private function await(string $handIn, int $seconds): ?array
    {
        $until = microtime(true) + $seconds;
        do {
            usleep(200_000);
            $run = $this->teacher->json('GET', "/api/hand-ins/$handIn")['run'] ?? null;
        } while (! in_array($run['state'] ?? '', ['finished', 'failed'], true) && microtime(true) < $until);

        return $run;
    }

    /** What became of what came into the in-tray. */
    private function reasonOf(string $name): string
    {
        $until = microtime(true) + 30;
        do {
            usleep(300_000);
            $arrivals = $this->teacher->json('GET', "/api/assignments/$this->work/arrivals");
            $one = array_values(array_filter($arrivals, fn (array $one) => $one['name'] === $name))[0] ?? null;
        } while (($one['state'] ?? 'waiting') === 'waiting' && ($one['told'] ?? null) === null && microtime(true) < $until);

        return (string) ($one['reason'] ?? $one['told'] ?? $one['state'] ?? 'nothing');
    }

    private function import(string $bytes): ResponseInterface
    {
        return $this->teacher->ask('POST', '/api/records', ['multipart' => [['name' => 'file', 'filename' => 'records.zip', 'contents' => $bytes]]]);
    }

    private static function tampered(string $bytes): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'hostile');
        file_put_contents($path, $bytes);
        $zip = new ZipArchive;
        $zip->open($path);
        $table = ['students', 'hand_ins', 'assignments', 'briefs', 'course_user', 'check_runs'][mt_rand(0, 5)];
        $lines = explode("\n", (string) $zip->getFromName("tables/$table.jsonl"));
        $row = json_decode($lines[0], true) ?? [];
        foreach (array_keys($row) as $column) {
            $row[$column] = mt_rand(0, 2) === 0 ? [null, 5, "\0", [], '9999-12-31'][mt_rand(0, 4)] : $row[$column];
        }
        $zip->addFromString("tables/$table.jsonl", implode("\n", [(string) json_encode($row), ...array_slice($lines, 1)]));
        $zip->close();
        $tampered = (string) file_get_contents($path);
        unlink($path);

        return $tampered;
    }

    private static function words(ResponseInterface $answer): string
    {
        return "{$answer->getStatusCode()}: ".(json_decode((string) $answer->getBody(), true)['message'] ?? '');
    }

    /** @param  array<string, string>  $files */
    private static function zip(array $files): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'hostile');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($files as $name => $bytes) {
            $zip->addFromString((string) $name, $bytes);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    private static function page(string $body): string
    {
        return "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<title>x</title>\n</head>\n<body>\n$body\n</body>\n</html>\n";
    }

    /** @param  list<float>  $times */
    private static function median(array $times): float
    {
        sort($times);

        return $times[intdiv(count($times), 2)];
    }
}

<?php

declare(strict_types=1);

use GuzzleHttp\Client;
use Tests\Running\ClassZip;
use Tests\Running\Servers;
use Tests\Running\Teacher;

/**
 * docs/running.md, walked through: nginx and php-fpm by the files in deploy/, workers, Redis, an S3-compatible storage,
 * several hosts, backup and restore. All servers are real, and on loopback.
 */
beforeEach(fn () => $this->servers = new Servers([]));

afterEach(fn () => $this->servers->stop());

it('does a whole job through nginx and php-fpm, as deploy/ has them', function () {
    [$url, $seen] = $this->servers->web('web');
    $this->servers->artisan('migrate', '--force');
    $this->servers->worker('worker');
    $teacher = new Teacher([$url]);
    $work = $teacher->set(3);
    $teacher->drop($work, ClassZip::of(1, 3));
    expect($teacher->awaitChecked($work, 3, 60))->toBe(3);
    $rows = $teacher->rows($work);
    $ids = array_column($rows, 'handInId');
    // Two pages with one title: half of what titles bring.
    expect($rows[0]['awarded'])->toBe(8);
    expect($teacher->json(
        'POST',
        "/api/assignments/$work/replies",
        ['json' => ['handIns' => $ids]],
    )['released'])->toBe(3);
    expect((string) $teacher->ask('GET', "/api/hand-ins/$ids[0]/reply.html")->getBody())->toContain('Student Nr1');

    // Students' pages come from their own host alone, and the application from its own.
    $page = $teacher->json('GET', "/api/hand-ins/$ids[0]/seen?scripts=0&styles=")['url'];
    expect($page)->toStartWith($seen);
    $strange = new Client(['http_errors' => false]);
    $shown = $strange->get(rtrim($page, '/').'/index.html');
    expect($shown->getStatusCode())->toBe(200)->and((string) $shown->getBody())->toContain('two.html')
        ->and($shown->getHeaderLine('Content-Security-Policy'))->toContain('sandbox');
    expect($strange->get("$seen/api/me")->getStatusCode())->toBe(404)
        ->and($strange->get("$url/seen/x/index.html")->getStatusCode())->toBe(404);

    // What nginx says besides.
    $home = $strange->get("$url/", ['headers' => ['Accept-Encoding' => 'gzip'], 'decode_content' => false]);
    expect($home->getStatusCode())->toBe(200)->and($home->getHeaderLine('X-Powered-By'))->toBe('')
        ->and($home->getHeaderLine('Content-Security-Policy'))->toContain("default-src 'self'");
    $script = basename((string) (glob("{$this->servers->root}/public/build/assets/client-*.js")[0] ?? ''));
    $asset = $strange->get(
        "$url/build/assets/$script",
        ['headers' => ['Accept-Encoding' => 'gzip'], 'decode_content' => false],
    );
    expect($asset->getHeaderLine('Cache-Control'))->toContain('immutable')
        ->and($asset->getHeaderLine('Content-Encoding'))->toBe('gzip');
    expect($strange->get("$url/other.php")->getStatusCode())->toBe(404);
});

it('keeps a connection from one request to the next, or does not where that is asked', function (string $setting, int $kept) {
    $this->servers->env['DB_PERSISTENT'] = $setting;
    [$url] = $this->servers->web('web');
    $this->servers->artisan('migrate', '--force');
    $strange = new Client(['http_errors' => false]);
    expect($strange->get("$url/health")->getStatusCode())->toBe(200);
    $open = "select count(*) from pg_stat_activity where datname = '{$this->servers->env['DB_DATABASE']}'";
    expect((int) $this->servers->sql($open, 'postgres'))->toBe($kept);
})->with([['true', 1], ['false', 0]]);

it('says that it works, how much it does, and what it is missing', function () {
    [$url] = $this->servers->web('web');
    $strange = new Client(['http_errors' => false]);
    expect($strange->get("$url/health")->getStatusCode())->toBe(503);
    $this->servers->artisan('migrate', '--force');
    $health = $strange->get("$url/health");
    expect($health->getStatusCode())->toBe(200)->and((string) $health->getBody())->toBe('{"works":true}');

    $metrics = $strange->get("$url/metrics");
    expect($metrics->getHeaderLine('Content-Type'))->toContain('openmetrics-text');
    $lines = explode("\n", trim((string) $metrics->getBody()));
    // OpenMetrics 1.0: a name, labels, a number; HELP and TYPE before; the last line ends it.
    expect(array_pop($lines))->toBe('# EOF')
        ->and(preg_grep(
            '/^(# (HELP|TYPE) inked_margin_\w+ .+|inked_margin_\w+(\{\w+="\w+"\})? \d+)$/',
            $lines,
            PREG_GREP_INVERT,
        ))->toBe([])
        ->and($lines)->toContain('inked_margin_hand_ins 0')->toContain('inked_margin_checks{state="failed"} 0');

    $check = $this->servers->artisan('margin:check');
    expect($check)->toContain('is there the database')
        ->toContain('is there the tables')->toContain('a mail server: Set MAIL_MAILER');
    expect(fn () => $this->servers->run(['php', 'artisan', 'margin:check'], ['DB_PASSWORD' => 'wrong']))->toThrow(
        RuntimeException::class,
        'is missing the database: Start PostgreSQL',
    );
});

it('does the work of a class of 200 on two web hosts and three workers, with Redis and shared storage', function () {
    $this->servers->redis();
    $this->servers->storage();
    [$first, $seen] = $this->servers->web('one');
    [$second] = $this->servers->web('two', (int) parse_url($seen, PHP_URL_PORT));
    $this->servers->artisan('migrate', '--force');
    foreach (['a', 'b', 'c'] as $worker) {
        $this->servers->worker($worker);
    }
    // A session begun at one host goes on at the other.
    $teacher = new Teacher([$first, $second]);
    $work = $teacher->set(200);
    $start = microtime(true);
    $teacher->drop($work, ClassZip::of(1, 200));
    $checked = $teacher->awaitChecked($work, 200, 240);
    fwrite(
        STDERR,
        sprintf("\n200 sites of two pages, two hosts, three workers, Redis, S3: %.1f s\n", microtime(true) - $start),
    );
    expect($checked)->toBe(200);

    // Nothing is lost, nothing doubled, and every byte is in the storage that all share.
    expect($this->servers->sql('select count(*), count(distinct student_id) from hand_ins'))->toBe('200|200')
        ->and($this->servers->sql("select count(*) from check_runs where state <> 'finished'"))->toBe('0')
        ->and($this->servers->sql('select count(*) from failed_jobs'))->toBe('0')
        ->and(glob("{$this->servers->folder}/storage/app/blobs/*"))->toBe([]);
    $ids = array_column($teacher->rows($work), 'handInId');
    expect($teacher->json('GET', "/api/hand-ins/$ids[0]/source/index.html")['text'])->toContain('two.html');
    expect($teacher->json(
        'POST',
        "/api/assignments/$work/replies",
        ['json' => ['handIns' => $ids]],
    )['released'])->toBe(200);
});

it('is the same after a backup was restored into an empty database', function () {
    [$url] = $this->servers->web('web');
    $this->servers->artisan('migrate', '--force');
    $this->servers->worker('worker');
    $teacher = new Teacher([$url]);
    $work = $teacher->set(5);
    $teacher->drop($work, ClassZip::of(1, 5));
    expect($teacher->awaitChecked($work, 5, 60))->toBe(5);
    $rows = $teacher->rows($work);
    $folder = "{$this->servers->folder}/backup";
    expect($this->servers->run(["{$this->servers->root}/deploy/backup", $folder]))->toMatch(
        '/Kept, with \d+ new files\./',
    );
    expect($this->servers->run(["{$this->servers->root}/deploy/backup", $folder]))->toContain(
        'Kept, with 0 new files.',
    );
    expect(fn () => $this->servers->run(["{$this->servers->root}/deploy/restore", $folder]))->toThrow(
        RuntimeException::class,
        'The database is not empty.',
    );

    $this->servers->kill('worker');
    $this->servers->sql('drop schema public cascade; create schema public');
    (new Symfony\Component\Process\Process(['rm', '-rf', "{$this->servers->folder}/storage/app/blobs"]))->run();
    expect($this->servers->run(["{$this->servers->root}/deploy/restore", $folder]))->toContain('Back, with');
    expect($teacher->rows($work))->toBe($rows);
    $id = $rows[0]['handInId'];
    expect($teacher->json('GET', "/api/hand-ins/$id/source/index.html")['text'])->toContain('two.html');
});

it('takes over what the release before kept', function () {
    // A backup that the version of engine 0.9.1 made: two hand-ins, notes, ink, points by hand, a released reply.
    [$url] = $this->servers->web('web');
    $this->servers->run(["{$this->servers->root}/deploy/restore", __DIR__.'/releases/0.9.1']);
    $teacher = new Teacher([$url]);
    $teacher->json('GET', '/api/first-run');
    $teacher->json('POST', '/api/log-in', ['json' => ['email' => 'rowan@example.org', 'password' => 'paper-and-ink']]);
    $course = $teacher->json('GET', '/api/shelf')['courses'][0]['id'];
    $work = $teacher->json('GET', "/api/courses/$course")['assignments'][0]['id'];
    $rows = $teacher->rows($work);
    $id = $rows[0]['handInId'];
    expect($rows)->toHaveCount(2)->and($rows[0]['cells'][1])->toBe(['share' => 0.833, 'points' => 5, 'byHand' => true]);

    // The reply that was released says what it said, and nothing has changed since.
    $reply = $teacher->json('GET', "/api/hand-ins/$id/reply");
    expect($reply['changedSince'])->toBeFalse()
        ->and(array_column($reply['released'][0]['content']['pages'][1]['items'], 'text'))->toContain(
            'Mind the herons, please.',
        );
    // What is new works on what is old.
    $book = $teacher->json('GET', "/api/courses/$course/gradebook");
    expect($book['rows'][0]['cells'][0])->toMatchArray(['kind' => 'earned', 'awarded' => 7, 'isReplied' => true])
        ->and($teacher->json('GET', '/api/search?q=heron')[0]['title'])->toBe('Mind the herons, please.');
    expect($teacher->json(
        'GET',
        "/api/assignments/$work/slips?rule=markup/missing-alt&variant=none",
    )['spots'])->toHaveCount(2);
});

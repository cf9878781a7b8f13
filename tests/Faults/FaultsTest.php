<?php

declare(strict_types=1);

use Tests\Running\ClassZip;
use Tests\Running\Servers;
use Tests\Running\Teacher;

/**
 * What happens when something breaks, with real servers: what was lost (nothing), what was doubled (nothing), what was
 * left half done (nothing), and how long until work went on, which is printed.
 */
const CLASS_OF = 30;

beforeEach(function () {
    // A job is taken for lost after 4 seconds in place of 90: the tests need not wait so long.
    $this->servers = new Servers(['DB_QUEUE_RETRY_AFTER' => '4', 'REDIS_QUEUE_RETRY_AFTER' => '4']);
    $this->begin = function (): string {
        [$url] = $this->servers->web('web');
        $this->servers->artisan('migrate', '--force');
        $this->teacher = new Teacher([$url]);
        $work = $this->teacher->set(CLASS_OF);
        $this->teacher->drop($work, ClassZip::of(1, CLASS_OF));

        return $work;
    };
    /** Waits until something is done, and not all of it. */
    $this->amid = function (string $work): void {
        $until = microtime(true) + 60;
        while (
            microtime(true) < $until
            && $this->servers->sql("select count(*) from check_runs where state = 'finished'") < 3
        ) {
            usleep(20_000);
        }
    };
    $this->whole = function (string $work, string $what, float $since): void {
        $checked = $this->teacher->awaitChecked($work, CLASS_OF, 90);
        fwrite(STDERR, sprintf("\n%s: all of %d checked %.1f s after it\n", $what, CLASS_OF, microtime(true) - $since));
        expect($checked)->toBe(CLASS_OF)
            // Nothing doubled, nothing half done.
            ->and($this->servers->sql('select count(*), count(distinct student_id) from hand_ins'))->toBe(
                CLASS_OF.'|'.CLASS_OF,
            )
            ->and($this->servers->sql(
                'select count(*) from check_runs group by hand_in_id having count(*) > 1',
            ))->toBe('')
            ->and($this->servers->sql("select count(*) from check_runs where state <> 'finished'"))->toBe('0')
            ->and($this->servers->sql(
                'select count(*) from hand_ins where not exists (select 1 from hand_in_files f where f.hand_in_id = hand_ins.id)',
            ))->toBe('0')
            ->and($this->servers->sql(
                'select count(*) from outcomes o group by check_run_id having count(*) <> 2',
            ))->toBe('')
            ->and($this->servers->sql('select count(*) from failed_jobs'))->toBe('0');
    };
});

afterEach(fn () => $this->servers->stop());

it('goes on after a worker was killed', function () {
    $work = ($this->begin)();
    $this->servers->worker('worker');
    ($this->amid)($work);
    $this->servers->kill('worker');
    $since = microtime(true);
    $this->servers->restart('worker');
    ($this->whole)($work, 'a worker killed', $since);
});

it('goes on after the web server was killed amid an upload, and takes what is sent again', function () {
    $work = ($this->begin)();
    $this->servers->worker('worker');
    ($this->whole)($work, 'nothing', microtime(true));
    $this->servers->kill('web-fpm');
    $answer = $this->teacher->ask('POST', "/api/assignments/$work/arrivals", ['multipart' => [
        ['name' => 'files[]', 'filename' => 'class.zip', 'contents' => fopen(ClassZip::of(1, CLASS_OF), 'rb')],
    ]]);
    expect($answer->getStatusCode())->toBe(502);
    $since = microtime(true);
    $this->servers->restart('web-fpm');
    $until = $since + 20;
    while ($this->teacher->ask('GET', '/api/me')->getStatusCode() !== 200 && microtime(true) < $until) {
        usleep(50_000);
    }
    // What is the same as before is known again, and is no second attempt.
    $this->teacher->drop($work, ClassZip::of(1, CLASS_OF));
    usleep(3_000_000);
    ($this->whole)($work, 'the web server killed', $since);
});

it('goes on after PostgreSQL was killed and has come to itself again', function () {
    $work = ($this->begin)();
    $this->servers->worker('worker');
    ($this->amid)($work);
    // When one of its processes is killed, PostgreSQL ends all of them and reads its log anew.
    $pid = (int) $this->servers->sql(
        "select pid from pg_stat_activity where datname = '{$this->servers->env['DB_DATABASE']}' and pid <> pg_backend_pid() limit 1",
    );
    $since = microtime(true);
    (new Symfony\Component\Process\Process(['kill', '-9', (string) $pid]))->run();
    $until = $since + 30;
    do {
        usleep(100_000);
        $isBack = rescue(fn () => $this->servers->sql('select 1') === '1', false, false);
    } while (! $isBack && microtime(true) < $until);
    // The worker ends when it loses its database; the service starts it again.
    $this->servers->restart('worker');
    ($this->whole)($work, 'PostgreSQL killed', $since);
});

it('goes on after Redis was killed', function () {
    $this->servers->redis();
    $work = ($this->begin)();
    $this->servers->worker('worker');
    ($this->amid)($work);
    $this->servers->kill('redis');
    usleep(500_000);
    $since = microtime(true);
    $this->servers->restart('redis');
    usleep(500_000);
    // A worker ends when it loses Redis; the service starts it again.
    $this->servers->kill('worker');
    $this->servers->restart('worker');
    ($this->whole)($work, 'Redis killed', $since);
});

it('refuses what does not fit on the disk any more, keeps the rest, and goes on when there is room', function () {
    // A file system of 3 MB in memory in place of the disk.
    $storage = "{$this->servers->folder}/storage/app";
    $mount = new Symfony\Component\Process\Process(['mount', '-t', 'tmpfs', '-o', 'size=3m', 'tmpfs', $storage]);
    $mount->run();
    if (! $mount->isSuccessful()) {
        $this->markTestSkipped('Only root mounts a small disk, and not in every container.');
    }
    try {
        $work = ($this->begin)();
        $this->servers->worker('worker');
        ($this->whole)($work, 'nothing', microtime(true));
        (new Symfony\Component\Process\Process(
            ['dd', 'if=/dev/zero', "of=$storage/filler", 'bs=64k', 'count=64'],
        ))->run();
        $answer = $this->teacher->ask('POST', "/api/assignments/$work/arrivals", ['multipart' => [
            ['name' => 'files[]', 'filename' => 'stud1.zip', 'contents' => random_bytes(500_000)],
        ]]);
        expect($answer->getStatusCode())->toBe(507)
            ->and((string) $answer->getBody())->toContain('its disk may be full');
        // What is there can still be read and marked.
        $id = $this->teacher->rows($work)[0]['handInId'];
        expect($this->teacher->json('GET', "/api/hand-ins/$id/source/index.html")['text'])->toContain('two.html');
        $this->teacher->json(
            'POST',
            "/api/hand-ins/$id/notes",
            ['json' => ['body' => 'Kept all the same', 'kind' => 'note', 'file' => null, 'line' => null]],
        );
        unlink("$storage/filler");
        $since = microtime(true);
        $this->teacher->drop($work, ClassZip::of(1, CLASS_OF));
        usleep(3_000_000);
        ($this->whole)($work, 'a full disk', $since);
    } finally {
        $this->servers->kill('worker');
        $this->servers->kill('web-fpm');
        (new Symfony\Component\Process\Process(['umount', '-l', $storage]))->run();
    }
});

it('gets all of it done where each file takes its time', function () {
    $this->servers->storage(wait: 40);
    $work = ($this->begin)();
    $since = microtime(true);
    foreach (['a', 'b', 'c'] as $worker) {
        $this->servers->worker($worker);
    }
    ($this->whole)($work, 'storage slower by 40 ms a request', $since);
});

it('goes on after the clock was set back by an hour', function () {
    $work = ($this->begin)();
    $since = microtime(true);
    $this->servers->worker('worker', ['faketime', '-f', '-1h']);
    // The scheduler does so once a minute.
    $this->servers->run(['faketime', '-f', '-1h', 'php', 'artisan', 'schedule:test', '--name=jobs of the future']);
    ($this->whole)($work, 'the clock set back by an hour', $since);
});

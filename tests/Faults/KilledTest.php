<?php

declare(strict_types=1);

use Tests\Running\Servers;
use Tests\Running\Teacher;

/**
 * A process that is killed at any statement it sends to the database leaves nothing that is forgotten: either nothing
 * came in, or it is checked, once, when the scheduler has looked.
 */
beforeEach(function () {
    $this->servers = new Servers(['DB_QUEUE_RETRY_AFTER' => '2']);
    [$url] = $this->servers->web('web');
    $this->servers->artisan('migrate', '--force');
    $this->work = (new Teacher([$url]))->set(80);
    $this->do = fn (string $what, string $id, int $at): string => $this->servers->run([
        'bash', '-c', 'php tests/Faults/killed-at.php "$@" 2>/dev/null || true', '--', $what, $id, (string) $at,
    ]);
    $this->handles = explode("\n", $this->servers->sql('select handle from students order by handle'));
});

afterEach(fn () => $this->servers->stop());

it('forgets no work, wherever it is killed', function (string $what) {
    $handles = $this->handles;
    $steps = (int) ($this->do)($what, (string) array_shift($handles), 0);
    expect($steps)->toBeGreaterThan(2)->toBeLessThan(80);
    for ($at = 1; $at <= $steps; $at++) {
        ($this->do)($what, (string) array_shift($handles), $at);
    }
    $this->servers->sql("update check_runs set created_at = created_at - interval '5 minutes'");
    $this->servers->sql("update hand_ins set arrived_at = arrived_at - interval '5 minutes'");
    $this->servers->sql("update arrivals set arrived_at = arrived_at - interval '5 minutes'");
    ($this->do)('ask', 'nobody', 0);
    $this->servers->artisan('queue:work', '--queue=default,second,later', '--stop-when-empty');

    $count = fn (string $sql) => (int) $this->servers->sql("select count(*) from $sql");
    $taken = $count('hand_ins');
    fwrite(STDERR, "\n$what: killed at each of $steps statements, $taken came in, all checked\n");
    expect($taken)->toBeGreaterThan(0)
        ->and($count("check_runs where state <> 'finished'"))->toBe(0)
        ->and($count('hand_ins h where not exists (select 1 from check_runs r where r.hand_in_id = h.id)'))->toBe(0)
        // Another run is made when the class packs otherwise, and each has its outcomes once.
        ->and($count('(select check_run_id from outcomes group by check_run_id having count(*) <> 2) t'))->toBe(0)
        ->and($count('(select student_id from hand_ins group by student_id having count(*) > 1) t'))->toBe(0)
        ->and($count('hand_ins h where not exists (select 1 from hand_in_files f where f.hand_in_id = h.id)'))->toBe(0)
        ->and($count("arrivals where state = 'waiting'"))->toBe(0)
        ->and($count('failed_jobs'))->toBe(0);
})->with(['hand in', 'drop']);

<?php

declare(strict_types=1);

namespace App\Operations;

use App\Sites\Space;
use Illuminate\Support\Facades\DB;

/**
 * Numbers of the installation in the OpenMetrics text format (openmetrics.io, 1.0; also the Prometheus text format
 * 0.0.4).
 */
final readonly class Metrics
{
    public const TYPE = 'application/openmetrics-text; version=1.0.0; charset=utf-8';

    public static function text(): string
    {
        /**
         * @var object{courses: int, students: int, hand_ins: int, waiting: int, replies: int, blobs: int,
         *     bytes: string|null} $counts
         */
        $counts = DB::selectOne(<<<'SQL'
            select (select count(*) from courses) as courses, (select count(*) from students) as students,
                (select count(*) from hand_ins) as hand_ins, (select count(*) from hand_ins where waits) as waiting,
                (select count(*) from replies) as replies, (select count(*) from blobs) as blobs,
                (select sum(bytes) from blobs) as bytes
            SQL);
        $runs = DB::table('check_runs')->groupBy('state')
            ->selectRaw('state, count(*) as number')->pluck('number', 'state');
        $space = Space::ofInstallation();
        $lines = [
            self::gauge('courses', 'Courses.', ['' => $counts->courses]),
            self::gauge('students', 'Students on a roster.', ['' => $counts->students]),
            self::gauge('hand_ins', 'Hand-ins that are kept.', ['' => $counts->hand_ins]),
            self::gauge('hand_ins_waiting', 'Hand-ins that wait for a reply.', ['' => $counts->waiting]),
            self::gauge('replies', 'Replies that were released.', ['' => $counts->replies]),
            self::gauge('files', 'Files that are kept, each once.', ['' => $counts->blobs]),
            self::gauge('files_bytes', 'Bytes of them.', ['' => (int) $counts->bytes]),
            self::gauge('space_bytes', 'Bytes that are stored or on their way.', ['' => $space->used]),
            self::gauge('space_quota_bytes', 'Bytes that may be stored.', ['' => $space->quota]),
            self::gauge('checks', 'Checks by how far they are.', array_combine(
                array_map(fn (string $state) => "{state=\"$state\"}", ['queued', 'running', 'finished', 'failed']),
                array_map(fn (string $state) => $runs->get($state) ?? 0, ['queued', 'running', 'finished', 'failed']),
            )),
            self::gauge('jobs_waiting', 'Jobs that wait for a worker.', ['' => HealthChecks::waiting()]),
            self::gauge('jobs_wait_seconds', 'For how long the next one has waited.', [
                '' => HealthChecks::oldestWait(),
            ]),
            self::gauge('jobs_failed', 'Jobs that were given up.', ['' => DB::table('failed_jobs')->count()]),
        ];

        return implode('', $lines)."# EOF\n";
    }

    /** @param  array<string, mixed>  $values  by their labels */
    private static function gauge(string $name, string $help, array $values): string
    {
        $text = "# HELP inked_margin_$name $help\n# TYPE inked_margin_$name gauge\n";
        foreach ($values as $labels => $value) {
            $text .= "inked_margin_$name$labels ".(is_numeric($value) ? $value : 0)."\n";
        }

        return $text;
    }
}

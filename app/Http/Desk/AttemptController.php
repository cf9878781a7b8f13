<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Description\InQuery;
use App\Http\Shared\Controller;
use App\Models\Finding;
use App\Models\HandIn;
use App\Models\Outcome;
use Illuminate\Support\Collection;
use InkedMargin\Core\Source\FileKind;

/** An attempt held against the one before it, or another. */
final class AttemptController extends Controller
{
    private const NEEDS = ['run.findings', 'run.outcomes', 'files'];

    #[InQuery('with', 'integer')]
    public function show(HandIn $handIn): ComparedAttempts
    {
        $with = filter_var(request()->query('with'), FILTER_VALIDATE_INT);
        $before = HandIn::query()
            ->where('assignment_id', $handIn->assignment_id)
            ->where('student_id', $handIn->student_id)
            ->where('attempt', $with === false ? '<' : '=', $with === false ? $handIn->attempt : $with)
            ->whereKeyNot($handIn->id)->orderByDesc('attempt')
            ->with(self::NEEDS)->first();
        abort_if($before === null, 404, 'There is no other attempt to hold it against.');
        $handIn->load(self::NEEDS);
        [$then, $now] = [self::findings($before), self::findings($handIn)];

        return new ComparedAttempts(
            new AttemptLine($before->id, $before->attempt, $before->arrived_at->toIso8601String()),
            self::list($then->diffKeys($now)),
            self::list($now->intersectByKeys($then)),
            self::list($now->diffKeys($then)),
            self::files($before, $handIn),
            self::points($before, $handIn),
            $before->run?->awarded === null ? null : (float) $before->run->awarded,
            $handIn->run?->awarded === null ? null : (float) $handIn->run->awarded,
        );
    }

    /**
     * @param  Collection<string, Finding>  $findings
     * @return list<AttemptFinding>
     */
    private static function list(Collection $findings): array
    {
        return array_values($findings->map(AttemptFinding::of(...))->all());
    }

    /** @return Collection<string, Finding> by fingerprint */
    private static function findings(HandIn $handIn): Collection
    {
        return ($handIn->run->findings ?? new Collection)->toBase()->keyBy(fn (Finding $one) => $one->fingerprint);
    }

    /** @return list<AttemptFile> */
    private static function files(HandIn $before, HandIn $now): array
    {
        /** @var array<array-key, string> $then */
        $then = $before->files->pluck('sha256', 'path')->all();
        /** @var array<array-key, string> $here */
        $here = $now->files->pluck('sha256', 'path')->all();
        $paths = array_map(strval(...), array_keys($here + $then));
        sort($paths, SORT_STRING);

        return array_map(fn (string $path) => new AttemptFile(
            $path,
            FileKind::ofPath($path),
            match (true) {
                ! isset($then[$path]) => 'added',
                ! isset($here[$path]) => 'taken out',
                default => $then[$path] === $here[$path] ? 'same' : 'changed',
            },
        ), $paths);
    }

    /** @return list<AttemptPoints> */
    private static function points(HandIn $before, HandIn $now): array
    {
        $then = ($before->run->outcomes ?? new Collection)->keyBy('requirement');
        $lines = ($now->run->outcomes ?? new Collection)->map(function (Outcome $outcome) use ($then): AttemptPoints {
            $was = $then->get($outcome->requirement)?->awarded;

            return new AttemptPoints(
                $outcome->title,
                $was === null ? null : (float) $was,
                (float) $outcome->awarded,
                (float) $outcome->possible,
            );
        });

        return array_values($lines->all());
    }
}

<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\CheckRun;
use App\Models\Finding;
use App\Models\RunState;
use Illuminate\Database\Eloquent\Builder;

/** What the newest checks found. */
final readonly class NewestFindings
{
    /**
     * The findings of one kind, joined with their runs as `r` and their hand-ins as `h`.
     *
     * @param  string  $variant  with `@` and the id of a requirement behind it where `kindOf` gives one
     * @return Builder<Finding>
     */
    public static function ofKind(string $rule, string $variant): Builder
    {
        [$own, $requirement] = [...explode('@', $variant, 2), null];
        $found = self::newest()->where('findings.rule', $rule)->where('findings.variant', $own);

        return $requirement === null ? $found : $found->where('findings.requirement', $requirement);
    }

    /**
     * The variant by which a finding is one of a kind. What two requirements ask for are two kinds, though one rule
     * speaks for both: pictures without alt text, and links that open in the same tab.
     */
    public static function kindOf(Finding $finding): string
    {
        $isOfRequirement = str_starts_with($finding->rule, 'brief/') && $finding->requirement !== null;

        return $isOfRequirement ? "$finding->variant@$finding->requirement" : $finding->variant;
    }

    /**
     * Some findings of the newest checks, joined with their runs as `r` and their hand-ins as `h`.
     *
     * @param  list<array{hand_in: string, fingerprint: string}>  $prints
     * @return Builder<Finding>
     */
    public static function named(array $prints): Builder
    {
        return self::newest()->whereRaw(
            '(h.id, findings.fingerprint) in (select hand_in, fingerprint'
                .' from jsonb_to_recordset(?::jsonb) as named(hand_in uuid, fingerprint text))',
            [json_encode($prints, JSON_THROW_ON_ERROR)],
        );
    }

    /** @return Builder<Finding> */
    private static function newest(): Builder
    {
        return Finding::query()
            ->join('check_runs as r', 'r.id', '=', 'findings.check_run_id')
            ->join('hand_ins as h', 'h.id', '=', 'r.hand_in_id')
            ->where('r.state', RunState::Finished)->whereRaw(CheckRun::isNewest('r'));
    }

    /**
     * Those of a class, in the hand-ins that count.
     *
     * @return Builder<Finding>
     */
    public static function inClass(string $assignment, string $rule, string $variant): Builder
    {
        return self::ofKind($rule, $variant)->where('h.assignment_id', $assignment)->where('h.counts', true);
    }

    /**
     * Those of them that nobody has decided on.
     *
     * @param  Builder<Finding>  $found
     * @return Builder<Finding>
     */
    public static function pencilled(Builder $found): Builder
    {
        return $found->whereNotExists(fn ($known) => $known->from('remarks')
            ->whereColumn('remarks.hand_in_id', 'h.id')->whereColumn('remarks.fingerprint', 'findings.fingerprint'));
    }

    /**
     * The same, each joined with its file as `files`, where that is there.
     *
     * @param  Builder<Finding>  $found
     * @return Builder<Finding>
     */
    public static function withFiles(Builder $found): Builder
    {
        return $found->leftJoin('hand_in_files as files', fn ($join) => $join
            ->on('files.hand_in_id', '=', 'h.id')->on('files.path', '=', 'findings.file'));
    }

    /**
     * The hash of the file that a finding is in; null where that is missing, or nothing inside it is meant.
     *
     * @param  Finding  $finding  with `files.sha256`
     */
    public static function sha256Of(Finding $finding): ?string
    {
        $sha256 = $finding->getAttribute('sha256');

        return is_string($sha256) && ! $finding->isAboutWholeFile() ? $sha256 : null;
    }
}

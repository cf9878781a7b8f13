<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\Finding;
use App\Models\HandIn;
use App\Models\RemarkKind;
use Illuminate\Database\Eloquent\Builder;

/** The findings of one kind (rule and variant) that are still in pencil, on a page, in a site, or in a class. */
final readonly class SimilarFindings
{
    private function __construct(private HandIn $handIn, private Finding $like)
    {
    }

    /** @return self|null null where the hand-in has no such finding now */
    public static function of(HandIn $handIn, string $fingerprint): ?self
    {
        $like = $handIn->run?->findings()->where('fingerprint', $fingerprint)->first();

        return $like === null ? null : new self($handIn, $like);
    }

    /** @return array{findings: int, handIns: int} */
    public function count(Reach $reach): array
    {
        $counts = $this->pencilled($reach)->reorder()->toBase()
            ->selectRaw('count(*) as findings, count(distinct h.id) as hand_ins')->first();

        return ['findings' => (int) ($counts->findings ?? 0), 'handIns' => (int) ($counts->hand_ins ?? 0)];
    }

    /** Decides on all of them at once. What somebody has decided already stays as it is. */
    public function decide(Reach $reach, RemarkKind $kind, ?string $reason, string $user, string $desk): Written
    {
        return app(BulkDecision::class)->decide($this->pencilled($reach), $kind, $reason, $user, $desk);
    }

    /** @return Builder<Finding> */
    private function pencilled(Reach $reach): Builder
    {
        return NewestFindings::pencilled(NewestFindings::ofKind($this->like->rule, NewestFindings::kindOf($this->like)))
            ->where(fn ($query) => match ($reach) {
                Reach::Page => $query->where('h.id', $this->handIn->id)->where('findings.file', $this->like->file),
                Reach::Site => $query->where('h.id', $this->handIn->id),
                Reach::WholeClass => $query->where('h.assignment_id', $this->handIn->assignment_id)
                    ->where(fn ($read) => $read->where('h.counts', true)->orWhere('h.id', $this->handIn->id)),
            });
    }
}

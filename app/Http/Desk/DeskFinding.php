<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\Margin;
use App\Models\Finding;
use App\Models\Remark;
use App\Models\RemarkKind;
use Illuminate\Support\Collection;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;

/** A finding, and what was decided about it. */
final readonly class DeskFinding
{
    /**
     * @param  list<RelatedPlace>  $related
     * @param  'pencilled'|'inked'|'rubbed-out'  $state
     */
    public function __construct(
        public string $fingerprint,
        public string $rule,
        public string $variant,
        public Weight $weight,
        public ProofMark $mark,
        public string $file,
        public ?int $line,
        public int $column,
        public ?int $endLine,
        public int $endColumn,
        public string $message,
        public string $remedy,
        public array $related,
        public ?string $requirement,
        public string $state,
        public ?string $reason,
        /** whether the rules report it now; an inked one stays when they do not */
        public bool $current,
        /** whether its place is in this hand-in; one of an earlier attempt may have none */
        public bool $placed,
        public ?int $fromAttempt,
        public ?string $quotation,
        /** points; 0 where it costs nothing */
        public float $cost,
    ) {
    }

    /**
     * What the rules report of a leaf, as it was inked where it was; and after it what was inked and is no longer
     * reported.
     *
     * @return list<self>
     */
    public static function on(Margin $margin, string $leaf): array
    {
        return array_values([
            ...self::found($margin, $margin->foundOn($leaf)),
            ...$margin->keptOn($leaf)->map(self::ofRemark(...))->all(),
        ]);
    }

    /** @return list<self> what the rules report of links and navigation */
    public static function onLinks(Margin $margin): array
    {
        return self::found($margin, $margin->foundOnLinks());
    }

    /**
     * @param  Collection<int, Finding>  $findings
     * @return list<self>
     */
    private static function found(Margin $margin, Collection $findings): array
    {
        return array_values($findings->map(
            fn (Finding $finding) => self::ofFinding($finding, $margin->decisionOn($finding)),
        )->all());
    }

    private static function ofFinding(Finding $finding, ?Remark $remark): self
    {
        $place = $finding->place();
        $isInked = $remark?->kind === RemarkKind::Finding;

        return new self(
            $finding->fingerprint,
            $finding->rule,
            $finding->variant,
            $finding->weight,
            $finding->mark,
            $place['file'],
            $place['line'],
            $finding->start_column,
            $place['end_line'],
            $finding->end_column,
            $isInked ? $remark->body : $finding->message,
            $isInked ? $remark->remedy : $finding->remedy,
            array_map(
                fn (array $one) => new RelatedPlace($one['file'], $one['start']['line'], $one['message']),
                $finding->related,
            ),
            $finding->requirement,
            $remark?->kind->state() ?? 'pencilled',
            $remark?->reason,
            true,
            true,
            $remark?->from_attempt,
            $remark?->excerpt,
            (float) $finding->cost,
        );
    }

    private static function ofRemark(Remark $remark): self
    {
        return new self(
            (string) $remark->fingerprint,
            (string) $remark->rule,
            $remark->variant,
            $remark->weight ?? Weight::Departure,
            $remark->mark ?? ProofMark::Look,
            $remark->placed ? (string) $remark->file : '',
            $remark->placed ? $remark->line : null,
            $remark->column ?? 1,
            $remark->placed ? $remark->end_line : null,
            $remark->end_column ?? 1,
            $remark->body,
            $remark->remedy,
            [],
            $remark->requirement,
            $remark->kind->state(),
            $remark->reason,
            false,
            $remark->placed,
            $remark->from_attempt,
            $remark->excerpt,
            0.0,
        );
    }
}

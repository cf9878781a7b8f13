<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;

/**
 * What the instructor inked, rubbed out or wrote, in its own words and with its own place. It does not depend on a run.
 *
 * @property string $id
 * @property string $hand_in_id
 * @property string $user_id
 * @property RemarkKind $kind
 * @property int $version  goes up with each change, so that a change to an older one can be refused
 * @property string $body  the words of the finding as they were inked, or what was written
 * @property string $remedy
 * @property string|null $reason  why a finding was rubbed out
 * @property string|null $rule  null for what was written
 * @property string $variant
 * @property Weight|null $weight
 * @property ProofMark|null $mark
 * @property string|null $requirement
 * @property string|null $file
 * @property int|null $line
 * @property int|null $column
 * @property int|null $end_line
 * @property int|null $end_column
 * @property string|null $excerpt  what was written there
 * @property string|null $fingerprint  of the finding that it was made of
 * @property int|null $from_attempt  the attempt that it was made on, when that is an earlier one
 * @property bool $placed  whether its place is in the files of this hand-in
 * @property HandIn $handIn
 */
final class Remark extends Model implements BelongsToCourse
{
    use HasUuids;

    protected $attributes = ['version' => 1, 'remedy' => '', 'variant' => '', 'placed' => true];

    protected function casts(): array
    {
        return [
            'kind' => RemarkKind::class,
            'weight' => Weight::class,
            'mark' => ProofMark::class,
            'placed' => 'boolean',
        ];
    }

    public function courseId(): string
    {
        return $this->handIn->courseId();
    }

    /** @return BelongsTo<HandIn, $this> */
    public function handIn(): BelongsTo
    {
        return $this->belongsTo(HandIn::class);
    }

    /**
     * Whether the student reads it. What comes from an earlier attempt and has no place in this one is not sent again.
     */
    public function isInReply(): bool
    {
        return $this->placed && $this->kind !== RemarkKind::RubbedOut;
    }
}

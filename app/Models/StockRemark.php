<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/**
 * A note kept for use again: shared by all who mark a course, or somebody's own in all of their courses.
 *
 * @property string $id
 * @property string|null $course_id  null for one's own
 * @property string|null $user_id  null for a shared one
 * @property string $body  with blanks such as `{element}`, which the desk fills in from the place
 * @property bool $merit
 */
final class StockRemark extends Model
{
    use HasUuids;

    protected function casts(): array
    {
        return ['merit' => 'boolean'];
    }

    /**
     * Those that somebody has at hand in a course.
     *
     * @param  Builder<self>  $query
     */
    public function scopeAtHand(Builder $query, Course $course, User $user): void
    {
        $query->where(fn (Builder $either) => $either->where('course_id', $course->id)->orWhere('user_id', $user->id));
    }

    /**
     * @return array{course_id: string|null, user_id: string|null} whose a remark is: of all who mark the course, or
     *     one's own
     */
    public static function owner(bool $isShared, Course $course, User $user): array
    {
        return ['course_id' => $isShared ? $course->id : null, 'user_id' => $isShared ? null : $user->id];
    }

    /** @param  string  $rule  of the finding that it was used for; '' for none */
    public function countUse(string $rule): void
    {
        DB::table('stock_remark_uses')->upsert(
            ['stock_remark_id' => $this->id, 'rule' => $rule, 'uses' => 1],
            ['stock_remark_id', 'rule'],
            ['uses' => DB::raw('stock_remark_uses.uses + 1')],
        );
    }
}

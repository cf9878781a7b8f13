<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody who is asked to help with a course, until they accept, it runs out or it is taken back.
 *
 * @property string $id
 * @property string $course_id
 * @property string $email
 * @property 'instructor'|'marker' $role
 * @property \Illuminate\Support\Carbon $expires_at
 * @property Course $course
 * @property User|null $user  who asked
 */
final class Invitation extends Model implements BelongsToCourse
{
    use HasUuids;

    public const UPDATED_AT = null;

    public const DAYS = 7;

    protected function casts(): array
    {
        return ['expires_at' => 'datetime'];
    }

    /** @return self|null null for a token that is false, used, taken back or too old */
    public static function of(string $token): ?self
    {
        return self::query()->with(['course', 'user'])->where('token_sha256', hash('sha256', $token))
            ->where('expires_at', '>', now())->first();
    }

    public function courseId(): string
    {
        return $this->course_id;
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeOpen(Builder $query): Builder
    {
        return $query->where('expires_at', '>', now());
    }

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

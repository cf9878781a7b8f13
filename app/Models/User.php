<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * An instructor or marker who can log in.
 *
 * @property string $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property string|null $time_zone  of the IANA database; null for that of whatever they read on
 * @property bool $keeps_house  whether they run the installation
 * @property string|null $totp_secret  in Base32, of the codes that they log in with
 * @property \Illuminate\Support\Carbon|null $totp_since  null while they log in without a code
 * @property int $totp_last_step  whose code was used
 * @property list<string> $recovery_codes  hashes of those that are left
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    use HasUuids;

    protected $hidden = ['password', 'remember_token', 'totp_secret', 'recovery_codes'];

    protected $attributes = ['recovery_codes' => '[]', 'totp_last_step' => 0];

    /** @var array<string, string|null> role by course, asked once a request */
    private array $roles = [];

    protected function casts(): array
    {
        return [
            'password' => 'hashed', 'keeps_house' => 'boolean', 'totp_secret' => 'encrypted',
            'totp_since' => 'datetime', 'totp_last_step' => 'integer', 'recovery_codes' => 'array',
        ];
    }

    protected static function booted(): void
    {
        self::creating(function (User $user): void {
            $user->keeps_house ??= self::query()->doesntExist();
        });
    }

    /** @return BelongsToMany<Course, $this> */
    public function courses(): BelongsToMany
    {
        return $this->belongsToMany(Course::class)->withPivot('role');
    }

    /** Capitals make no difference to an address. Null where nobody has it. */
    public static function withEmail(string $email): ?self
    {
        return self::query()->ofEmail($email)->first();
    }

    /** @param  Builder<self>  $query */
    public function scopeOfEmail(Builder $query, string $email): void
    {
        $query->whereRaw('lower(email) = lower(?)', [$email]);
    }

    /** Whether they may open courses: whoever only helps with marking does not. */
    public function mayOpenCourses(): bool
    {
        return $this->keeps_house || $this->courses()->doesntExist()
            || $this->courses()->wherePivot('role', 'instructor')->exists();
    }

    public function roleIn(string $courseId): ?string
    {
        if (! array_key_exists($courseId, $this->roles)) {
            $role = $this->courses()->where('courses.id', $courseId)->value('course_user.role');
            $this->roles[$courseId] = is_string($role) ? $role : null;
        }

        return $this->roles[$courseId];
    }
}

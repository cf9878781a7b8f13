<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/**
 * Who the people in records are here. Nobody is put on a course, and nothing is said in anybody's name, because a file
 * says so: what the importer wrote is theirs, and all others are "Someone who left". On the command line it is whoever
 * runs the installation who says it: there people have their accounts.
 */
final class RecordsPeople
{
    private const LEFT_NAME = 'Someone who left';

    /** No letter ever gets there (RFC 2606, section 2). */
    private const LEFT_EMAIL = 'someone-who-left@margin.invalid';

    /** @var array<string, string> ids here by ids there */
    private array $ids = [];

    private ?string $left = null;

    /** @param  User|null  $importer  null on the command line */
    public function __construct(private readonly ?User $importer)
    {
    }

    /** @return bool whether there is somebody for that row already: then it is not written */
    public function knows(\stdClass $row): bool
    {
        $known = User::withEmail(self::text($row->email ?? null))?->id;
        if ($this->importer !== null) {
            $known = $known === $this->importer->id ? $known : $this->left();
        }
        $id = self::text($row->id ?? null);
        $this->ids[$id] = $known ?? $id;

        return $known !== null;
    }

    /** Whether memberships of courses are taken from the records. */
    public function join(): bool
    {
        return $this->importer === null;
    }

    /**
     * @param  string  $line  the row as it was written
     * @return string the same, by who it is here; `ItsOwn` refuses rows of people who are not in the records
     */
    public function named(\stdClass $row, string $line): string
    {
        $id = $row->user_id ?? null;
        if ($id === null) {
            return $line;
        }
        $here = $this->ids[self::text($id)] ?? null;
        if ($here === null || $here === $id) {
            return $line;
        }
        $row->user_id = $here;

        return json_encode($row, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
    }

    /** @return list<string> ids of people that rows may name */
    public function here(): array
    {
        return array_values(array_unique($this->ids));
    }

    private function left(): string
    {
        if ($this->left === null) {
            // Whoever brings something in at the same moment finds the same one.
            DB::table('users')->insertOrIgnore([
                'id' => (string) Str::uuid7(), 'name' => self::LEFT_NAME, 'email' => self::LEFT_EMAIL,
                'password' => Hash::make(Str::random(40)), 'keeps_house' => false, 'created_at' => now(),
            ]);
            $this->left = User::withEmail(self::LEFT_EMAIL)->id ?? '';
        }

        return $this->left;
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }
}

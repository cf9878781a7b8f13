<?php

declare(strict_types=1);

namespace App\Sites;

use App\Models\HandIn;
use App\Models\MaterialRole;

/** Where a site is kept: a hand-in, what an assignment gives in one role, or an example that ships. */
final readonly class SitePlace
{
    private const EXAMPLE = 'example:';

    /**
     * @param  string  $key  `hand-in:` and its id, a role of files that the assignment gives, or `example:` and a name
     */
    private function __construct(public string $assignmentId, public string $key)
    {
    }

    public static function handIn(HandIn $handIn): self
    {
        return new self($handIn->assignment_id, "hand-in:$handIn->id");
    }

    /**
     * What nobody handed in.
     *
     * @param  string  $key  a role, or `example:` and a name
     * @return self|null null for any other key
     */
    public static function given(string $assignmentId, string $key): ?self
    {
        $place = new self($assignmentId, $key);

        $isThere = $place->role() !== null || isset(Examples::all()[$place->example() ?? '']);

        return $isThere ? $place : null;
    }

    /** @param  string  $written  as written() gave it */
    public static function read(string $written): self
    {
        return new self(...explode(' ', $written, 2) + ['', '']);
    }

    public function written(): string
    {
        return "$this->assignmentId $this->key";
    }

    public function handInId(): ?string
    {
        return str_starts_with($this->key, 'hand-in:') ? substr($this->key, 8) : null;
    }

    public function role(): ?MaterialRole
    {
        return MaterialRole::tryFrom($this->key);
    }

    public function example(): ?string
    {
        return str_starts_with($this->key, self::EXAMPLE) ? substr($this->key, strlen(self::EXAMPLE)) : null;
    }
}

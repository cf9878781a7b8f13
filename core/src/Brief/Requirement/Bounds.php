<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Site\Page;

/** How many of something there may be. */
final readonly class Bounds
{
    public function __construct(public ?int $exactly = null, public ?int $atLeast = null, public ?int $atMost = null)
    {
    }

    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            Field::wholeNumber('exactly', 'just so many'),
            Field::wholeNumber('at_least', 'so many or more'),
            Field::wholeNumber('at_most', 'so many or fewer'),
        ];
    }

    public static function read(Fields $fields): self
    {
        $bounds = new self(
            $fields->wholeNumber('exactly'),
            $fields->wholeNumber('at_least'),
            $fields->wholeNumber('at_most'),
        );
        if ($bounds->least() > $bounds->most()) {
            $fields->problem('at_least', 'no number can be at least this and at most that');
        }

        return $bounds;
    }

    public function isOpen(): bool
    {
        return $this->exactly === null && $this->atLeast === null && $this->atMost === null;
    }

    public function allow(int $count): bool
    {
        return $count >= $this->least() && $count <= $this->most();
    }

    public function isShort(int $count): bool
    {
        return $count < $this->least();
    }

    public function least(): int
    {
        return max($this->exactly ?? 0, $this->atLeast ?? 0);
    }

    public function most(): int
    {
        return min($this->exactly ?? PHP_INT_MAX, $this->atMost ?? PHP_INT_MAX);
    }

    /** How many would have to be added or removed. */
    public function distance(int $count): int
    {
        return max(0, $this->least() - $count, $count - $this->most());
    }

    /** @return list<string> the names of what is wrong with a number of elements on a page that they do not allow */
    public function slips(Page $page, string $selectors, int $count): array
    {
        return $this->isShort($count)
            ? SlipName::lack($page, $selectors, $this->distance($count))
            : SlipName::surplus($page, $selectors, $this->distance($count));
    }

    /** "exactly 12", "2 to 3", "at least 1", "none". */
    public function sentence(): string
    {
        $least = $this->least();
        $most = $this->most();

        return match (true) {
            $most === 0 => 'none',
            $least === $most => "exactly $least",
            $most === PHP_INT_MAX => "at least $least",
            $least === 0 => "at most $most",
            default => "$least to $most",
        };
    }
}

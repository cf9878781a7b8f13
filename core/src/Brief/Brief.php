<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/** The requirements of one assignment. */
final readonly class Brief
{
    /** @param  list<Requirement>  $requirements with ids that differ */
    public function __construct(public string $title, public array $requirements)
    {
    }

    /** What is checked when nothing was asked for: the rules alone. */
    public static function none(): self
    {
        return new self('No brief', []);
    }

    /**
     * @template T of Requirement
     *
     * @param  class-string<T>  $kind
     * @return list<T>
     */
    public function ofKind(string $kind): array
    {
        return array_values(array_filter($this->requirements, fn (Requirement $requirement) => $requirement instanceof $kind));
    }

    /**
     * The first requirement of a kind that is about a page.
     *
     * @template T of Requirement
     *
     * @param  class-string<T>  $kind
     * @return T|null
     */
    public function covering(string $path, string $kind): ?Requirement
    {
        foreach ($this->ofKind($kind) as $requirement) {
            if ($requirement->terms->pages->covers($path)) {
                return $requirement;
            }
        }

        return null;
    }

    /** Points that can be had in all. */
    public function points(): float
    {
        return array_sum(array_map(fn (Requirement $requirement) => $requirement->terms->points, $this->requirements));
    }
}

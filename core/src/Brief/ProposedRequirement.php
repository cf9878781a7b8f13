<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Requirement;

/** One requirement of a brief that is being written. */
final readonly class ProposedRequirement
{
    /**
     * @param  array<mixed>  $values  as they were written
     * @param  Requirement|null  $requirement  null where it cannot be read
     * @param  list<string>  $problems  why not
     */
    private function __construct(public array $values, public ?Requirement $requirement, public array $problems)
    {
    }

    public static function read(mixed $values): self
    {
        if (! is_array($values)) {
            return new self([], null, ['a map with id, kind and title was expected']);
        }
        try {
            $source = json_encode(
                ['title' => 'Draft', 'requirements' => [$values]],
                JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
            );

            return new self($values, BriefReader::read($source)->requirements[0], []);
        } catch (BriefError $error) {
            return new self($values, null, array_map(self::short(...), $error->problems));
        }
    }

    /** Without the line, which is that of another text, and without the name of the requirement. */
    private static function short(string $problem): string
    {
        return preg_replace(
            '/^(?:line \d+, column \d+: )?(?:requirement "[^"]*", |requirements\.1\.)?/',
            '',
            $problem,
        ) ?? $problem;
    }
}

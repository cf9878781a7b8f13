<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Site\ParsedSite;

/** One testable line of a brief: the terms that every kind shares, and what its kind expects. */
abstract readonly class Requirement
{
    public function __construct(public Terms $terms)
    {
    }

    /** The `kind` that names it in YAML. */
    abstract public static function kind(): string;

    /** What the kind is for, as a sentence for the documentation. */
    abstract public static function about(): string;

    /** @return list<Field> what this kind has besides the terms */
    abstract public static function fields(): array;

    /** @return array<string, string> the variants of its shortfalls, each with the id of the rule that speaks for it */
    abstract public static function variants(): array;

    /** The id of the rule that speaks for a variant; null where a rule has said it already. */
    final public static function ruleFor(string $variant): ?string
    {
        return $variant === MissingPage::NONE ? 'brief/files' : static::variants()[$variant] ?? null;
    }

    /** Reads what this kind needs; what is wrong is collected in `$fields`. */
    abstract public static function read(Terms $terms, Fields $fields): self;

    /** What is asked, as a sentence for people. */
    abstract public function sentence(): string;

    /**
     * @return list<array{words: string, points: float}> what a person may say of it, from the worst to the best; none
     *     where it is computed
     */
    public function choices(): array
    {
        return [];
    }

    /** Whether it asks for something on each page of its scope, so that a page that is missing counts against it. */
    public function isAboutPages(): bool
    {
        return true;
    }

    /** Whether what is in the files matters to it, and not their names alone. */
    public function readsFiles(): bool
    {
        return true;
    }

    /** Whether what is in stylesheets matters to it. */
    public function readsStyles(): bool
    {
        return false;
    }

    /** @return list<string> paths of pages that it speaks of besides those of its scope */
    public function pagesNeeded(Materials $materials): array
    {
        return [];
    }

    /** Asked for once for each site and requirement, by `Examination`. */
    abstract public function assess(ParsedSite $site): Assessment;

    /** The sentence without its full stop, as what was expected. */
    final public function expectation(): string
    {
        return lcfirst(rtrim($this->sentence(), '.'));
    }
}

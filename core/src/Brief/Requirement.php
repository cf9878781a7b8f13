<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Site\SiteReading;

/** One testable line of a brief: the terms that every kind shares, and what its kind expects. */
abstract readonly class Requirement
{
    public function __construct(public Terms $terms)
    {
    }

    /** The `kind` that names it in YAML. */
    abstract public static function kind(): string;

    /** Reads what this kind needs; what is wrong is collected in `$fields`. */
    abstract public static function read(Terms $terms, Fields $fields): self;

    /** What is asked, as a sentence for people. */
    abstract public function sentence(): string;

    abstract public function judge(SiteReading $reading): Judgement;
}

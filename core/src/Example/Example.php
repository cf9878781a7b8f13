<?php

declare(strict_types=1);

namespace InkedMargin\Core\Example;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;

/** What a rule finds, and how it should be: documentation for students, and the first test of the rule. */
final readonly class Example
{
    /**
     * @param  string  $variant  of the rule; '' where it has only one way to fail
     * @param  ExampleFiles  $bad  gives exactly this one finding
     * @param  ExampleFiles  $good  the same as it should be; gives none
     * @param  array<string, mixed>  $requirement  the requirement of a brief that both are held against; [] for none
     * @param  array<'starter'|'model'|'copy'|'sheets', ExampleFiles>  $materials  what the assignment gives
     */
    public function __construct(
        public string $variant,
        public ExampleFiles $bad,
        public ExampleFiles $good,
        public array $requirement = [],
        public Packing $badPacking = new Packing,
        public Packing $goodPacking = new Packing,
        public array $materials = [],
    ) {
    }

    public function badSite(): Site
    {
        return $this->bad->site($this->badPacking);
    }

    public function goodSite(): Site
    {
        return $this->good->site($this->goodPacking);
    }

    public function brief(): Brief
    {
        if ($this->requirement === []) {
            return Brief::none();
        }

        return BriefReader::read(
            "title: Example\nrequirements:\n  - {id: it, title: It, points: 1, {$this->fields()}}",
        );
    }

    /** What the requirement asks, as fields of a YAML mapping in braces. */
    public function fields(): string
    {
        return substr(json_encode($this->requirement, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), 1, -1);
    }

    public function materials(): Materials
    {
        $site = fn (string $what) => ($this->materials[$what] ?? null)?->site(new Packing);

        return new Materials($site('starter'), $site('model'), $site('copy'), $site('sheets'));
    }

    /** The part of the bad example that matters: its page, or the files that differ from the good one. */
    public function badExcerpt(): string
    {
        return $this->bad->besides($this->good);
    }

    public function goodExcerpt(): string
    {
        return $this->good->besides($this->bad);
    }
}

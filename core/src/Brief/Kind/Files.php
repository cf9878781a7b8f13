<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Glob;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Site\SiteReading;

/** Files that must be there, by name, or a number of files that match a glob. */
final readonly class Files extends Requirement
{
    /** @param  list<string>  $names paths from the site's root, or globs */
    public function __construct(Terms $terms, public array $names, public ?int $atLeast, public ?int $atMost, public bool $mayBeOthers = true)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'files';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $names = $fields->texts('names');
        if ($names === []) {
            $fields->problem('names', 'at least one file name is needed');
        }

        return new self($terms, $names, $fields->wholeNumber('at_least'), $fields->wholeNumber('at_most'), $fields->flag('others', true));
    }

    public function sentence(): string
    {
        $names = implode(', ', $this->names);
        $bounds = array_filter([
            $this->atLeast === null ? null : "at least $this->atLeast",
            $this->atMost === null ? null : "at most $this->atMost",
        ]);

        return ($bounds === [] ? "The site has the files $names" : 'The site has '.implode(' and ', $bounds)." of $names").($this->mayBeOthers ? '.' : ', and no other files.');
    }

    public function judge(SiteReading $reading): Judgement
    {
        if ($this->atLeast === null && $this->atMost === null) {
            $wanted = count($this->names);
            $there = $wanted - count($this->missing($reading->site));

            return Judgement::share($there, $wanted, "$there of $wanted files", "$wanted of $wanted files");
        }
        $there = $this->counted($reading->site);
        $met = match (true) {
            $this->atLeast !== null && $there < $this->atLeast => $there / $this->atLeast,
            $this->atMost !== null && $there > $this->atMost => 0.0,
            default => 1.0,
        };

        return new Judgement($met, $there === 1 ? '1 file' : "$there files", rtrim($this->sentence(), '.'));
    }

    /** @return list<string> the names that no file of the site answers to */
    public function missing(Site $site): array
    {
        if ($this->atLeast !== null || $this->atMost !== null) {
            return [];
        }

        return array_values(array_filter($this->names, fn (string $name) => $this->matching($site, $name) === []));
    }

    /** Whether a file answers to any of the names. */
    public function names(string $path): bool
    {
        return array_filter($this->names, fn (string $name) => $name === $path || Glob::matches($name, $path)) !== [];
    }

    /** How many files answer to any of the names. */
    public function counted(Site $site): int
    {
        $found = [];
        foreach ($this->names as $name) {
            $found += array_flip($this->matching($site, $name));
        }

        return count($found);
    }

    /** @return list<string> */
    private function matching(Site $site, string $name): array
    {
        if ($site->file($name) !== null) {
            return [$name];
        }

        return array_values(array_filter(array_map(strval(...), array_keys($site->files())), fn (string $path) => Glob::matches($name, $path)));
    }
}

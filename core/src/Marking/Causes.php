<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Rules\Catalogue;

/**
 * One cause, one finding. Each rule declares which rules supersede it; a finding is dropped when one of theirs shares a
 * subject with it, or is about one of its possible causes.
 */
final class Causes
{
    /** @var array<string, list<int>> indexes of findings, by rule and subject */
    private array $about = [];

    /** @var array<int, int|null> the index of the finding that explains each; null for one that nothing explains */
    private array $explained = [];

    /** @var array<int, int> by object id */
    private array $indexes = [];

    /** @var array<int, true> findings that are being looked at, so that two that explain each other do not both go */
    private array $asking = [];

    /** @var array<string, list<string>> by rule */
    private array $supersededBy = [];

    /** @param  list<Finding>  $findings */
    private function __construct(private readonly array $findings)
    {
        foreach (Catalogue::rules() as $rule) {
            $this->supersededBy[$rule->id] = $rule->facts->supersededBy;
        }
        foreach ($findings as $index => $finding) {
            $this->indexes[spl_object_id($finding)] = $index;
            foreach (array_unique($finding->subjects) as $subject) {
                $this->about["{$finding->rule}\0$subject"][] = $index;
            }
        }
        foreach (array_keys($findings) as $index) {
            $this->explain($index);
        }
    }

    /** @param  list<Finding>  $findings */
    public static function among(array $findings): self
    {
        return new self($findings);
    }

    /**
     * Takes note that a finding tells of the same slip as another: the other is shown in its place.
     */
    public function explainBy(Finding $finding, Finding $cause): void
    {
        $index = $this->indexes[spl_object_id($finding)] ?? false;
        $by = $this->indexes[spl_object_id($cause)] ?? false;
        if ($index === false || $by === false || $this->explained[$index] !== null) {
            return;
        }
        for ($above = $by; $above !== null; $above = $this->explained[$above]) {
            if ($above === $index) {
                return;
            }
        }
        $this->explained[$index] = $by;
    }

    /** The finding that explains one in the end; itself where nothing does. Null for one that is not among them. */
    public function rootOf(Finding $finding): ?Finding
    {
        $index = $this->indexes[spl_object_id($finding)] ?? null;
        while ($index !== null && ($this->explained[$index] ?? null) !== null) {
            $index = $this->explained[$index];
        }

        return $index === null ? null : $this->findings[$index];
    }

    /**
     * What one of some rules says about a subject, or what explains that.
     *
     * @param  list<string>  $rules
     */
    public function about(string $subject, array $rules): ?Finding
    {
        foreach ($rules as $rule) {
            foreach ($this->about["$rule\0$subject"] ?? [] as $index) {
                return $this->rootOf($this->findings[$index]);
            }
        }

        return null;
    }

    /** @return list<Finding> those that nothing else explains */
    public function kept(): array
    {
        return array_values(
            array_filter($this->findings, fn (int $index) => $this->explained[$index] === null, ARRAY_FILTER_USE_KEY),
        );
    }

    private function explain(int $index): ?int
    {
        if (array_key_exists($index, $this->explained)) {
            return $this->explained[$index];
        }
        $this->asking[$index] = true;
        $finding = $this->findings[$index];
        $found = $this->causeOf($finding);
        if ($found !== null) {
            $this->explain($found);
        }
        unset($this->asking[$index]);

        return $this->explained[$index] = $found;
    }

    /** The finding that explains this one, and is not being explained by it */
    private function causeOf(Finding $finding): ?int
    {
        foreach ($this->supersededBy[$finding->rule] ?? [] as $rule) {
            foreach ([...$finding->subjects, ...$finding->causes] as $subject) {
                foreach ($this->about["$rule\0$subject"] ?? [] as $other) {
                    if (! isset($this->asking[$other])) {
                        return $other;
                    }
                }
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

/** What the check of one site of a class came to. */
final readonly class ClassLine
{
    /**
     * @param  string  $site  the name of its zip or folder
     * @param  array<string, int>  $weights  findings by weight
     * @param  list<string>  $rules  of its findings, each once
     * @param  list<string>  $unmet  titles of requirements that are not met in full
     * @param  string|null  $problem  why it could not be checked
     */
    private function __construct(
        public string $site,
        public string $handle,
        public string $name,
        public ?float $awarded,
        public ?float $possible,
        public array $weights,
        public array $rules,
        public array $unmet,
        public ?string $problem,
    ) {
    }

    /**
     * @param  string  $handle  '' where nobody knows whose it is, and likewise the name
     * @param  string  $said  the report as JSON, or why there is none
     */
    public static function of(string $site, string $handle, string $name, string $said): self
    {
        $report = json_decode($said, true);
        if (! is_array($report) || ! isset($report['findings'], $report['requirements'], $report['score'])) {
            $why = trim($said) === '' ? 'The check broke off.' : trim(strtok(trim($said), "\n") ?: $said);

            return new self($site, $handle, $name, null, null, [], [], [], $why);
        }
        /**
         * @var array{findings: list<array{rule: string, weight: string}>, requirements: list<array{title: string,
         *     outcome: string}>, score: array{awarded: float|int, possible: float|int}} $report
         */
        $unmet = array_filter(
            $report['requirements'],
            fn (array $one) => in_array($one['outcome'], ['unmet', 'partly'], true),
        );

        return new self(
            $site,
            $handle,
            $name,
            (float) $report['score']['awarded'],
            (float) $report['score']['possible'],
            array_count_values(array_column($report['findings'], 'weight')),
            array_values(array_unique(array_column($report['findings'], 'rule'))),
            array_column($unmet, 'title'),
            null,
        );
    }

    public function count(string $weight): int
    {
        return $this->weights[$weight] ?? 0;
    }
}

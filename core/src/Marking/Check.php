<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Comparison\GivenSheets;
use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Starter;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\File\TooLarge;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\GarbageCollector;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Source\TextMap;

/** The one entry point: a site and a brief in, a report out. The same input gives the same report. */
final readonly class Check
{
    /** Changes whenever the same input may give another report. */
    public const ENGINE = '0.15.0';

    /** Rules whose findings in starter files are the instructor's. */
    private const OF_STARTERS = '~^(?:markup/|style/|file/name$)~';

    /**
     * @param  \Closure(int, int): void|null  $progress called with the number of steps done, and of all steps: one a
     *     page, one a rule
     * @param  Materials|null  $materials  what the assignment gives besides the brief
     */
    public static function run(
        Site $site,
        Brief $brief,
        ?\Closure $progress = null,
        ?Materials $materials = null,
    ): CheckReport {
        return GarbageCollector::disabledDuring(
            fn () => self::report($site, $brief, $progress, $materials ?? Materials::none()),
        );
    }

    /** @param  \Closure(int, int): void|null  $progress */
    private static function report(Site $files, Brief $brief, ?\Closure $progress, Materials $materials): CheckReport
    {
        $progress ??= static function (int $done, int $of): void {
        };
        $rules = Catalogue::rules();
        $pages = 0;
        $site = ParsedSite::of($files, function (int $done, int $of) use ($progress, $rules, &$pages): void {
            $progress($done, ($pages = $of) + count($rules));
        });
        $exam = new Examination($site, $brief, $materials);
        $findings = self::findings($exam, fn (int $done) => $progress($pages + $done, $pages + count($rules)));
        $own = self::withoutStarters(self::withoutIgnored($findings, $exam), $materials);
        $causes = Causes::among(self::withoutDuplicates($own));
        $shared = self::shared($exam, $causes);
        $folded = Fold::of($causes->kept());
        $placed = self::place($folded->findings);
        $outcomes = Outcomes::of($exam, $causes, $folded, $shared, $placed);

        return new CheckReport($exam->site, $brief, $placed, $outcomes, self::score($outcomes, $placed, $brief));
    }

    /**
     * Slips that several requirements are short of: each is told once.
     *
     * @return array<int, Shortfall> the shortfall that each follows from, by object id
     */
    private static function shared(Examination $exam, Causes $causes): array
    {
        $requirements = $exam->brief->requirements;
        $assessments = array_map($exam->assessment(...), $requirements);
        $shared = SharedSlips::among($requirements, $assessments);
        foreach ($assessments as $assessment) {
            foreach ($assessment->shortfalls as $shortfall) {
                $cause = $shared[spl_object_id($shortfall)] ?? null;
                $finding = $cause === null ? null : $exam->findingOf($shortfall);
                $explanation = $cause === null ? null : $exam->findingOf($cause);
                if ($finding !== null && $explanation !== null) {
                    $causes->explainBy($finding, $explanation);
                }
            }
        }

        return $shared;
    }

    /**
     * What all rules have to say.
     *
     * @param  \Closure(int): void|null  $checked  called with the number of rules that are done
     * @return list<Finding>
     */
    private static function findings(Examination $exam, ?\Closure $checked = null): array
    {
        $findings = [];
        foreach (Catalogue::rules() as $done => $rule) {
            array_push($findings, ...self::findingsOf($rule, $exam));
            if ($checked !== null) {
                $checked($done + 1);
            }
        }

        array_push($findings, ...self::requirementFindings($exam));

        return [...$findings, ...(new TooLarge)->findings($exam)];
    }

    /** @return list<Finding> none where they could be false, or would take too much to find */
    private static function findingsOf(Rule $rule, Examination $exam): array
    {
        // What was too much is known at the end.
        $isSilent = $rule instanceof TooLarge || ($rule instanceof ComparesFiles && ! $exam->site->isReadWhole());

        return $isSilent ? [] : $exam->withinLimits(fn () => $rule->findings($exam)) ?? [];
    }

    /** @return list<Finding> what the requirements of the brief fall short of, as far as no rule has said it */
    private static function requirementFindings(Examination $exam): array
    {
        $findings = [];
        foreach ($exam->brief->requirements as $requirement) {
            foreach ($exam->assessment($requirement)->shortfalls as $shortfall) {
                $rule = $shortfall->finding === null
                    ? Catalogue::rule($requirement::ruleFor($shortfall->draft->variant) ?? '')
                    : null;
                if ($rule !== null) {
                    $findings[] = $finding = $rule->speakFor($shortfall, $requirement);
                    $exam->tell($shortfall, $finding);
                }
            }
        }

        return $findings;
    }

    /**
     * Without what the brief tells the rules to be silent about, what was in the starter files and had to stay, and
     * what is in stylesheets that were given.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function withoutIgnored(array $findings, Examination $exam): array
    {
        $kept = self::keptSpans($exam);
        $given = GivenSheets::unchanged($exam->site, $exam->materials);
        $isHeard = function (Finding $finding) use ($exam, $kept, $given): bool {
            if ($finding->requirement !== null) {
                return true;
            }
            if (isset($given[$finding->file]) && str_starts_with($finding->rule, 'style/')) {
                return false;
            }
            if (self::isInside($finding->span, $kept[$finding->file] ?? [])) {
                return false;
            }

            return ! $exam->brief->ignores($finding->rule, $finding->variant, $finding->file);
        };

        return array_values(array_filter($findings, $isHeard));
    }

    /** @param  list<Span>  $kept */
    private static function isInside(Span $span, array $kept): bool
    {
        foreach ($kept as $one) {
            if ($span->start >= $one->start
                && $span->end <= $one->end
                && $span->end > 0) {
                return true;
            }
        }

        return false;
    }

    /**
     * Without what the starter files say in the same words at the same places: it is not the student's. What is missing
     * from them, or was to be replaced, is: links and content are told all the same.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function withoutStarters(array $findings, Materials $materials): array
    {
        $starter = $materials->parsedStarter();
        if ($starter === null) {
            return $findings;
        }
        $isTheirs = fn (Finding $one) => $one->requirement === null && preg_match(self::OF_STARTERS, $one->rule) === 1;
        $left = self::countsOf(array_filter(self::findings(new Examination($starter, Brief::none())), $isTheirs));
        $own = [];
        foreach ($findings as $finding) {
            $print = $finding->fingerprint();
            $times = $isTheirs($finding) ? $left->get($print) ?? 0 : 0;
            if ($times > 0) {
                $left->put($print, $times - 1);
            } else {
                $own[] = $finding;
            }
        }

        return $own;
    }

    /**
     * @param  array<Finding>  $findings
     * @return TextMap<int> how many there are of each fingerprint
     */
    private static function countsOf(array $findings): TextMap
    {
        /** @var TextMap<int> $left */
        $left = new TextMap;
        foreach ($findings as $finding) {
            $print = $finding->fingerprint();
            $left->put($print, ($left->get($print) ?? 0) + 1);
        }

        return $left;
    }

    /** @return array<string, list<Span>> by page */
    private static function keptSpans(Examination $exam): array
    {
        $spans = [];
        foreach ($exam->brief->ofKind(Starter::class) as $starter) {
            foreach ($starter->terms->pages->of($exam->site) as $page) {
                foreach ($starter->keptOn($page) as $span) {
                    $spans[$page->path()][] = $span;
                }
            }
        }

        return $spans;
    }

    /**
     * A rule and a requirement that it speaks for may find the same place: the requirement's word counts.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function withoutDuplicates(array $findings): array
    {
        $place = fn (Finding $finding) => "{$finding->rule}\0{$finding->file}\0{$finding->span->start}";
        $asked = [];
        foreach ($findings as $finding) {
            if ($finding->requirement !== null) {
                $asked[$place($finding)] = true;
            }
        }

        return array_values(
            array_filter($findings, fn (Finding $one) => $one->requirement !== null || ! isset($asked[$place($one)])),
        );
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<PlacedFinding>
     */
    private static function place(array $findings): array
    {
        $key = fn (Finding $one) => [
            $one->file, $one->span->start, $one->rule, $one->variant, $one->span->end, $one->anchor,
        ];
        usort($findings, fn (Finding $a, Finding $b) => $key($a) <=> $key($b));
        /** @var TextMap<int> $alike */
        $alike = new TextMap;
        $placed = [];
        foreach ($findings as $finding) {
            $print = $finding->fingerprint();
            $nth = ($alike->get($print) ?? 0) + 1;
            $alike->put($print, $nth);
            $placed[] = PlacedFinding::of($finding, $nth === 1 ? $print : $finding->fingerprint($nth));
        }

        return $placed;
    }

    /**
     * @param  list<Outcome>  $outcomes
     * @param  list<PlacedFinding>  $placed
     */
    private static function score(array $outcomes, array $placed, Brief $brief): Score
    {
        $weights = array_map(
            fn (PlacedFinding $one) => $one->finding->weight->value,
            CheckReport::freeAmong($placed, $outcomes),
        );

        return Score::of(
            array_map(fn (Outcome $outcome) => $outcome->earned(), $outcomes),
            $brief->scheme,
            array_count_values($weights),
        );
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\MissingPage;
use InkedMargin\Core\Brief\Requirement\NeedsMaterials;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Source\TextMap;

/** One site under one brief: what both together come to is worked out once, when it is first asked for. */
final class Examination
{
    /** @var TextMap<Assessment> by the id of the requirement */
    private readonly TextMap $assessments;

    private ?LinkExpectations $expectations = null;

    public readonly Materials $materials;

    public readonly ParsedSite $site;

    private readonly NeededPages $needed;

    /** @var list<string> */
    private array $overLimits = [];

    /** @var array<int, Finding> what is said of shortfalls, by their object id */
    private array $told = [];

    public function __construct(ParsedSite $site, public readonly Brief $brief, ?Materials $materials = null)
    {
        $this->assessments = new TextMap;
        $this->materials = $materials ?? Materials::none();
        $this->needed = NeededPages::of($brief, $this->materials);
        $this->site = $site->expecting($this->needed->names);
    }

    /** What a requirement comes to; for one that is assessed by findings, without them. */
    public function assessment(Requirement $requirement): Assessment
    {
        $assessment = $this->assessments->get($requirement->terms->id);
        if ($assessment === null) {
            $tooLarge = $this->tooLargeFor($requirement);
            $assessed = $tooLarge === null
                ? $this->withinLimits(fn () => $requirement instanceof NeedsMaterials
                    ? $requirement->assessAgainst($this->site, $this->materials)
                    : $requirement->assess($this->site))
                : Assessment::notJudged("`$tooLarge` is too large to check", $requirement->expectation());
            $assessed ??= Assessment::notJudged('too large to check', $requirement->expectation());
            $assessment = $this->withMissingPages($requirement, $assessed);
            $this->assessments->put($requirement->terms->id, $assessment);
        }

        return $assessment;
    }

    /** The path of a file that was not read, and that the requirement would have to look into. */
    private function tooLargeFor(Requirement $requirement): ?string
    {
        foreach ($this->site->unread as $unread) {
            $isRead = match ($unread->file->kind()) {
                FileKind::Page => ! $requirement->isAboutPages()
                    || $requirement->terms->pages->covers($this->site->expectedNameOf($unread->path())),
                default => $requirement->readsStyles(),
            };
            if ($isRead && $unread->isUsed && $requirement->readsFiles()) {
                return $unread->path();
            }
        }

        return null;
    }

    /**
     * What some work gives; null where it would take more than a check may, of which note is taken.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T|null
     */
    public function withinLimits(\Closure $work): mixed
    {
        try {
            return $work();
        } catch (OverLimit $error) {
            $this->overLimits[] = $error->getMessage();

            return null;
        }
    }

    /** @return list<string> sentences that say what was too much, each once */
    public function overLimits(): array
    {
        return array_values(array_unique($this->overLimits));
    }

    /**
     * An assessment with what the pages cost that should be there and are not.
     */
    public function withMissingPages(Requirement $requirement, Assessment $assessment): Assessment
    {
        if (! $assessment->canBeJudged || (! $requirement->isAboutPages() && $assessment->items > 0)) {
            return $assessment;
        }
        $scope = $requirement->terms->pages;
        $missing = array_map(
            fn (string $path) => MissingPage::named($path, $this->site),
            $scope->missingFrom($this->site),
        );
        $unnamed = $this->needed->unnamedIn($scope, $this->site, count($missing));
        for ($nth = 1; $nth <= $unnamed; $nth++) {
            $missing[] = MissingPage::unnamed($nth, $unnamed);
        }
        if ($missing === [] && $assessment->items === 0 && $scope->of($this->site) === []) {
            $missing[] = MissingPage::none($requirement, $this->site);
        }

        return $assessment->withMissingPages($missing);
    }

    /** Takes note of the finding that tells of a shortfall. */
    public function tell(Shortfall $shortfall, Finding $finding): void
    {
        $this->told[spl_object_id($shortfall)] = $finding;
    }

    /** The finding that tells of a shortfall; null where none does. */
    public function findingOf(Shortfall $shortfall): ?Finding
    {
        return $shortfall->finding ?? $this->told[spl_object_id($shortfall)] ?? null;
    }

    public function expectations(): LinkExpectations
    {
        return $this->expectations ??= LinkExpectations::of($this->site, $this->brief);
    }
}

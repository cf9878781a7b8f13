<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Count;
use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** There are more or fewer of something than the brief asks for. */
final readonly class WrongCount extends Rule
{
    public function __construct()
    {
        parent::__construct('brief/count', Weight::Departure, ProofMark::Change, 'There are more or fewer of an element, or of some files, than the brief asks for.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($brief->ofKind(Count::class) as $requirement) {
            yield from $requirement->perSite ? $this->onSite($reading, $requirement) : $this->onPages($reading, $requirement);
        }
        foreach ($brief->ofKind(Files::class) as $requirement) {
            if (($requirement->atLeast ?? $requirement->atMost) !== null && ($requirement->judge($reading)->met ?? 1.0) < 1.0) {
                $names = implode(', ', $requirement->names);
                $there = $requirement->counted($reading->site);
                yield $this->about('', null, "There are {$there} files {$names}.", "The brief says: {$requirement->sentence()}", for: $requirement);
            }
        }
    }

    /** @return iterable<Finding> */
    private function onSite(SiteReading $reading, Count $requirement): iterable
    {
        $there = array_sum($requirement->counts($reading));
        if (! $requirement->allows($there)) {
            yield $this->about(
                '',
                null,
                "The site has {$there} {$requirement->selector->written} in all; the brief asks for {$requirement->bounds()}.",
                $requirement->isShort($there) ? 'Add what is missing.' : 'Take out what is too much.',
                for: $requirement,
                mark: $requirement->isShort($there) ? ProofMark::Insert : ProofMark::TakeOut,
            );
        }
    }

    /** @return iterable<Finding> */
    private function onPages(SiteReading $reading, Count $requirement): iterable
    {
        foreach ($requirement->terms->pages->of($reading) as $page) {
            $there = $requirement->countOn($page);
            if (! $requirement->allows($there)) {
                $short = $requirement->isShort($there);
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    self::place($page, $requirement, $short),
                    "This page has {$there} {$requirement->selector->written}; the brief asks for {$requirement->bounds()}.",
                    $short ? 'Add what is missing.' : 'Take out what is too much.',
                    'count:'.$requirement->terms->id,
                    for: $requirement,
                    mark: $short ? ProofMark::Insert : ProofMark::TakeOut,
                );
            }
        }
    }

    /** The last one that is there when there are too few, the first that is too many when there are too many. */
    private static function place(Page $page, Count $requirement, bool $short): Span
    {
        $found = $requirement->selector->all($page->document);
        $most = $requirement->exactly ?? $requirement->atMost ?? 0;
        $element = $short ? end($found) : ($found[$most] ?? false);

        return ($element ?: $page->document->first('body'))?->startTag() ?? Span::at(0);
    }
}

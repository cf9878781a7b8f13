<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A paragraph that stands on another page word for word, and not on most. Common practice. */
final readonly class SameText extends Rule
{
    /** Characters: a shorter paragraph may well say the same twice. */
    private const SHORTEST = 60;

    private const MOST_NODES = 2_000;

    public function __construct()
    {
        parent::__construct('content/same-text', Weight::Departure, ProofMark::Change, 'Two pages have the same paragraph.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $seen = [];
        foreach ($reading->pages as $path => $page) {
            foreach ($page->elements as $element) {
                if ($element->name !== 'p' || in_array($page->outline->partOf($element), [PartKind::Header, PartKind::Nav, PartKind::Footer], true)) {
                    continue;
                }
                $words = $element->words(self::MOST_NODES);
                if (mb_strlen($words) >= self::SHORTEST) {
                    $seen[mb_strtolower($words)][$path] ??= [$element, $page];
                }
            }
        }
        $shared = [];
        foreach ($seen as $pages) {
            if (2 * count($pages) > max(3, count($reading->pages))) {
                continue;
            }
            $first = array_shift($pages);
            foreach ($pages as $path => [$element, $page]) {
                $shared[$path][$first[1]->path()][] = [$element, $page, ...$first];
            }
        }
        // Of two pages that share several paragraphs the first is told, with how many there are.
        foreach ($shared as $others) {
            foreach ($others as $other => $paragraphs) {
                [$element, $page, $original, $source] = $paragraphs[0];
                $more = count($paragraphs) - 1;
                yield $this->on(
                    $element,
                    $page->file,
                    $element->span() ?? $element->place(),
                    "This paragraph stands on {$other} word for word".match ($more) {
                        0 => '.', 1 => ', and so does another.', default => ", and so do {$more} others.",
                    }.' It looks left over from a page that was copied.',
                    'Write what belongs on this page.',
                    [new Related($source->file, $original->span() ?? $original->place(), 'the same paragraph stands here')],
                );
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\Nav\Expectations;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Site\Verdict;

/** A link or address with nothing in it, or a bare `#`, that was to be filled in. Common practice. */
final readonly class EmptyLink extends Rule
{
    private const MOST_NODES = 100;

    public function __construct()
    {
        parent::__construct('link/empty', Weight::Departure, ProofMark::Insert, 'A link has no address, or only a #.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $expectations = Expectations::of($reading, $brief);
        foreach ($reading->references() as $reference) {
            // An empty action sends a form to its own page, and is none to fill in.
            if ($reference->target->verdict === Verdict::Placeholder && ! in_array($reference->kind, [ReferenceKind::Form, ReferenceKind::Other], true) && ! self::goesToTop($reference)) {
                $to = $expectations->target($reference);
                yield $this->finding(
                    $reference->from->path,
                    $reference->from,
                    $reference->span,
                    self::message($reference),
                    $to === null ? 'Type the address between the quotation marks.' : "By the order of the pages it should lead to {$to}: type {$reference->textFor($to)}.",
                    $reference->anchor(),
                    for: $expectations->requirement($reference),
                );
            }
        }
        foreach ($reading->pages as $page) {
            foreach ($page->elements as $element) {
                $isTarget = $element->attribute('id') !== null || $element->attribute('name') !== null;
                // A misspelt href is told as what it is, and the plain words of a menu's own entry are no link.
                if ($element->name === 'a' && $element->isWritten() && $element->attribute('href') === null && ! $isTarget && $element->attributes === [] && $element->words(self::MOST_NODES) !== '') {
                    yield $this->on($element, $page->file, $element->place(), 'This a has no href, so that it is no link.', 'Type href="…" inside the tag, with the address.');
                }
            }
        }
    }

    /** A bare `#` leads to the top of the page (HTML Standard, 7.4.6.3), which is right for a link that says so. */
    private static function goesToTop(Reference $reference): bool
    {
        return $reference->element !== null && trim($reference->written) === '#' && preg_match('/\btop\b|[↑⇧▲⬆]/iu', Label::of($reference->element)) === 1;
    }

    private static function message(Reference $reference): string
    {
        $written = trim($reference->written);

        return match (true) {
            $reference->kind !== ReferenceKind::Link => "This {$reference->attribute} is empty.",
            $written === '' => 'This link has an empty address, and leads to its own page.',
            default => "“{$written}” stands where an address was to be filled in.",
        };
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A start or end tag of html, head or body was not written. The parser implies it (HTML Standard, 13.1.2.4); a beginner’s brief wants it seen. Common practice. */
final readonly class MissingSkeletonTag extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/missing-skeleton-tag', Weight::Departure, ProofMark::Insert, 'A start or end tag of html, head or body is not written.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach (['html', 'head', 'body'] as $name) {
                $element = $page->document->first($name);
                if ($element === null || ($element->isWritten() && $element->endTag() !== null)) {
                    continue;
                }
                $missing = match (true) {
                    ! $element->isWritten() && $element->endTag() === null => "<{$name}> and </{$name}>",
                    ! $element->isWritten() => "<{$name}>",
                    default => "</{$name}>",
                };
                yield $this->on(
                    $element,
                    $page->file,
                    $element->startTag() ?? $element->endTag() ?? Span::at(0),
                    "The page has no {$missing}. A browser goes on as if it were there; whoever reads the page has to guess where it belongs.",
                    ! $element->isWritten() ? "Type <{$name}> where the {$name} begins and </{$name}> where it ends." : "Type </{$name}> where the {$name} ends.",
                );
            }
        }
    }
}

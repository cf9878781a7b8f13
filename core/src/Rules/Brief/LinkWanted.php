<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\WantedLink;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A link that the brief asks for, and that is not there, or not as it asks. */
final readonly class LinkWanted extends Rule
{
    public function __construct()
    {
        parent::__construct('brief/link', Weight::Departure, ProofMark::Insert, 'A link that the brief asks for is not there, or not as it asks.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($brief->ofKind(WantedLink::class) as $requirement) {
            $isOutside = str_contains($requirement->to, ':');
            foreach ($requirement->pages($reading) as $page) {
                if ($requirement->isOn($page, $reading)) {
                    continue;
                }
                $near = $requirement->nearlyOn($page, $reading);
                $address = $isOutside ? $requirement->to : RelativePath::between($page->path(), $requirement->to);
                $wishes = ($requirement->label === null ? '' : " with the words “{$requirement->label}”").match ($requirement->inNewTab) {
                    null => '', true => ', in a new tab', false => ', in the same tab',
                };
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    $near->reference->span ?? $page->document->first('body')?->place() ?? Span::at(0),
                    $near === null ? "No link on this page leads to {$requirement->to}." : "This link leads to {$requirement->to}, but not as the brief asks{$wishes}.",
                    "The link should lead to {$address}{$wishes}.",
                    'link:'.$requirement->terms->id,
                    for: $requirement,
                    mark: $near === null ? ProofMark::Insert : ProofMark::Change,
                );
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\SiteReading;

/** A picture that another page shows too, where nearly every page has one of its own. Common practice. */
final readonly class SamePicture extends Rule
{
    public function __construct()
    {
        parent::__construct('content/same-picture', Weight::Departure, ProofMark::Change, 'Two pages show the same picture.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $shown = [];
        foreach ($reading->pages as $path => $page) {
            foreach ($page->references as $reference) {
                $isContent = $reference->kind === ReferenceKind::Picture && $reference->element?->name === 'img' && ! in_array($page->outline->partOf($reference->element), [PartKind::Header, PartKind::Nav, PartKind::Footer], true);
                if ($isContent && $reference->target->found !== null) {
                    $shown[$reference->target->found][$path] ??= $reference;
                }
            }
        }
        $ownPicture = [];
        foreach ($shown as $pages) {
            if (count($pages) === 1) {
                $ownPicture[array_key_first($pages)] = true;
            }
        }
        foreach ($shown as $picture => $pages) {
            $isRare = 3 * count($ownPicture) >= count($reading->pages) && 2 * count($pages) <= count($reading->pages);
            $owner = PageNames::owner(pathinfo((string) $picture, PATHINFO_FILENAME), array_map(fn (int|string $path) => $reading->pages[$path], array_keys($pages)));
            foreach ($isRare ? $pages : [] as $path => $reference) {
                // A page with a picture of its own may show another one again.
                if ($path === $owner->path() || $reference->element === null || isset($ownPicture[$path])) {
                    continue;
                }
                yield $this->on(
                    $reference->element,
                    $reference->from,
                    $reference->span,
                    "This page shows {$picture}, which {$owner->path()} shows too.",
                    'Show a picture of what this page is about.',
                    [new Related($owner->file, $pages[$owner->path()]->span, 'the same picture stands here')],
                );
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Consistency\Teaser;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\TextGroups;

/** A paragraph that another page has word for word, and that few pages have. Common practice. */
final readonly class SameText extends Rule
{
    /** Characters: a shorter paragraph counts only where it names the page that it came from. */
    private const LONG = 60;

    private const SHORTEST = 12;

    private const MOST_NODES = 2_000;

    /** Pages: a larger site that shares much text does so on purpose. */
    private const LARGE = 20;

    /** Pages: a larger site was written by a program, and not by copying pages. */
    private const GENERATED = 100;

    /** What pages say on purpose: who made them, when, and how to reach whom. */
    private const BOILERPLATE = '/©|\(c\)|&copy;|copyright|all rights reserved|this (?:document|page|site) (?:was|is) (?:generated|last)|generated (?:by|on|from)|last (?:updated|modified|changed)|@\w+\.|\bhttps?:|\+?\d[\d ()-]{7,}\d|\b(?:licen[cs]e|cookies?|javascript|terms|privacy)\b/iu';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/same-text',
            'Repeated text',
            Weight::Departure,
            ProofMark::Change,
            'Two pages have the same paragraph.',
            'People who meet the same paragraph again think that they are on the same page. Often it '
                .'is left over from copying a page.',
            Citation::practice(),
            ['content/placeholder', 'content/starter-unchanged'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->descriptions($exam);
        $shared = [];
        foreach ($this->paragraphs($exam) as $words => $pages) {
            $words = substr((string) $words, strlen('text '));
            $count = count($pages);
            $isShared = $count > 1 && 2 * $count <= max(4, count($exam->site->pages));
            if (! $isShared || preg_match(self::BOILERPLATE, $words) === 1) {
                continue;
            }
            $owner = PageNames::owner($words, array_values(array_map(fn (array $one) => $one[1], $pages)));
            if (mb_strlen($words) < self::LONG && ! ($count === 2 && PageNames::isAbout($owner, $words))) {
                continue;
            }
            foreach ($pages as [$element, $page]) {
                $isTeaser = Teaser::leadsTo($element, $page, $owner)
                    || Teaser::leadsTo($pages[$owner->path()][0], $owner, $page);
                if ($page !== $owner && ! $isTeaser) {
                    $shared[$page->path()][$owner->path()][] = [$element, $page, $pages[$owner->path()][0], $owner];
                }
            }
        }
        // A manual of many pages that says the same on many of them does so on purpose.
        $pages = count($exam->site->pages);
        if ($pages > self::GENERATED || ($pages > self::LARGE && 4 * count($shared) > $pages)) {
            return;
        }
        // Of two pages that share several paragraphs the first is told, with how many there are.
        foreach ($shared as $others) {
            foreach ($others as $paragraphs) {
                usort($paragraphs, fn (array $a, array $b) => $a[0]->place()->start <=> $b[0]->place()->start);
                [$element, $page, $original, $source] = $paragraphs[0];
                $more = count($paragraphs) - 1;
                yield Draft::at($page, $element)
                    ->span($element->span())
                    ->says('This paragraph is word for word the same on `'.$source->path().'`'
                        .($more === 0 ? '' : ', and so '.($more === 1 ? 'is ' : 'are ').English::count($more, 'other'))
                        .'; it looks left over from a copied page.')
                    ->remedy('Write what belongs on this page.')
                    ->related(new Related(
                        $source->file,
                        $original->span() ?? $original->place(),
                        'the same paragraph',
                    ));
            }
        }
    }

    /** @return iterable<Draft> descriptions for search engines that name the page they were copied from */
    private function descriptions(Examination $exam): iterable
    {
        /** @var TextGroups<array{Element, Page}> $byText */
        $byText = new TextGroups;
        foreach ($exam->site->pages as $page) {
            foreach ($page->named('meta') as $meta) {
                $text = trim($meta->value('content') ?? '');
                if (strtolower($meta->value('name') ?? '') === 'description' && $text !== '') {
                    $byText->add(mb_strtolower($text), [$meta, $page]);
                }
            }
        }
        foreach ($byText as $words => $same) {
            $owner = PageNames::owner($words, array_map(fn (array $one) => $one[1], $same));
            $isCopied = count($same) === 2 && count($exam->site->pages) > 2 && PageNames::isAbout($owner, $words);
            foreach ($isCopied ? $same : [] as [$meta, $page]) {
                if ($page !== $owner && ! PageNames::isAbout($page, $words)) {
                    yield Draft::at($page, $meta)
                        ->variant('description')
                        ->says("The description of this page is that of `{$owner->path()}`; "
                            .'it looks left over from a copied page.')
                        ->remedy('Write in `content` what this page is about.');
                }
            }
        }
    }

    /** @return array<string, array<string, array{Element, Page}>> by text and page */
    private function paragraphs(Examination $exam): array
    {
        $seen = [];
        foreach ($exam->site->pages as $page) {
            if (SpecialPage::is($page->path(), $exam->site)) {
                continue;
            }
            foreach ($page->named('p') as $element) {
                if (in_array(
                    $page->outline->partOf($element),
                    PartKind::AROUND,
                    true,
                ) || self::isMostlyLinks($element)) {
                    continue;
                }
                $words = $element->words(self::MOST_NODES);
                if (strlen($words) >= self::SHORTEST) {
                    $seen['text '.mb_strtolower($words)][$page->path()] ??= [$element, $page];
                }
            }
        }

        return $seen;
    }

    /** A way on, a call to action, a credit: what is nearly all link is no text of the page. */
    private static function isMostlyLinks(Element $paragraph): bool
    {
        $linked = 0;
        foreach ($paragraph->children as $child) {
            if ($child instanceof Element && $child->name === 'a') {
                $linked += strlen($child->text(self::MOST_NODES));
            }
        }

        return $linked > 0 && 2 * $linked > strlen(trim($paragraph->text(self::MOST_NODES)));
    }
}

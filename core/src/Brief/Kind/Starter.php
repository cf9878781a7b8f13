<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Comparison\CopyComparison;
use InkedMargin\Core\Brief\Comparison\PlacedWord;
use InkedMargin\Core\Brief\Comparison\StarterComparison;
use InkedMargin\Core\Brief\Comparison\StarterSlip;
use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\NeedsMaterials;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/**
 * Passages of the starter files that are to be replaced, and passages that are to stay. A passage with tags in it is
 * looked for in the source, any other in the text of a page. White space does not matter.
 */
final readonly class Starter extends Requirement implements NeedsMaterials, SpeaksForItself
{
    private const MARK = 'change';

    /** Words: where some of a shorter passage are, it need not be that passage. */
    private const KNOWN = 4;

    /**
     * @param  list<string>  $replaced  white space collapsed
     * @param  list<string>  $kept
     * @param  bool  $compares  whether the pages are held against the starter files: what is marked there is changed,
     *     and all else is still there
     * @param  string  $mark  by which it is known what is to be changed
     * @param  bool  $mayAdd  whether more may be written besides
     */
    public function __construct(
        Terms $terms,
        public array $replaced,
        public array $kept,
        private bool $compares = false,
        private string $mark = self::MARK,
        private bool $mayAdd = false,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'starter';
    }

    public static function about(): string
    {
        return 'Passages of the starter files that are to be replaced, or kept.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/starter',
            'Starter text removed',
            Weight::Departure,
            ProofMark::Insert,
            'A passage of the starter files that the brief wants kept is gone.',
            'The brief asks you to keep this passage, such as a notice or a table. Somebody needs it, '
                .'and it is gone.',
            Citation::brief(),
        );
    }

    public static function fields(): array
    {
        return [
            Field::texts('replaced', 'passages that must no longer be there'),
            Field::texts('kept', 'passages that must still be there'),
            Field::flag(
                'compare',
                'whether each page is held against that of the starter files: what is marked there has to change, and '
                    .'all else to stay',
            ),
            Field::text(
                'mark',
                'the class of what has to change, or a word of a comment right before it; `'.self::MARK
                    .'` when it is left out',
                false,
                60,
            ),
            Field::flag('may_add', 'with `compare`, whether more may be written besides; no when it is left out'),
        ];
    }

    public static function variants(): array
    {
        return [
            'unchanged' => 'content/starter-unchanged',
            'emptied' => 'content/starter-unchanged',
            'lost' => 'brief/starter',
            'changed' => 'brief/starter',
            'added' => 'brief/starter',
        ];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $starter = new self(
            $terms,
            array_map(self::collapse(...), $fields->texts('replaced')),
            array_map(self::collapse(...), $fields->texts('kept')),
            $fields->flag('compare', false),
            $fields->text('mark', self::MARK),
            $fields->flag('may_add', false),
        );
        if ($starter->replaced === [] && $starter->kept === [] && ! $starter->compares) {
            $fields->problem(
                'replaced',
                'at least one passage of the starter files is needed, in "replaced" or in "kept", or "compare: true"',
            );
        }
        if (in_array('', [...$starter->replaced, ...$starter->kept], true)) {
            $fields->problem('replaced', 'a passage cannot be empty');
        }

        return $starter;
    }

    public function sentence(): string
    {
        $quote = fn (array $passages) => English::list(array_values(array_map(
            fn (string $passage) => '“'.English::excerpt($passage, 60).'”',
            $passages,
        )));

        return implode(' ', array_filter([
            $this->replaced === [] ? '' : "{$quote($this->replaced)} of the starter files is replaced.",
            $this->kept === [] ? '' : "{$quote($this->kept)} of the starter files is kept.",
            $this->compares
                ? "What is marked with `$this->mark` in the starter files is changed, and all else is kept"
                    .($this->mayAdd ? '; more may be added.' : '.')
                : '',
        ]));
    }

    public function pagesNeeded(Materials $materials): array
    {
        $starter = $this->compares ? $materials->parsedStarter() : null;

        return $starter === null ? [] : $this->terms->pages->pathsIn($starter);
    }

    public function assess(ParsedSite $site): Assessment
    {
        return $this->assessAgainst($site, Materials::none());
    }

    public function assessAgainst(ParsedSite $site, Materials $materials): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $starter = $materials->parsedStarter();
        if ($this->compares && $starter === null) {
            return Assessment::notJudged('there are no starter files', $this->expectation());
        }
        if ($pages === []) {
            return Assessment::of(0, [], 'no such page', $this->expectation());
        }
        $shortfalls = [];
        foreach ($this->replaced as $passage) {
            foreach ($pages as $page) {
                $span = self::find($passage, $page);
                $given = $starter?->pages[$site->expectedNameOf($page->path())] ?? null;
                $place = $span !== null || $given === null ? null : self::placeOfEmptied($passage, $given, $page);
                if ($span !== null) {
                    $shortfalls[] = self::unchanged($passage, $page, $span);
                } elseif ($place !== null) {
                    $shortfalls[] = self::ofSlip($page, StarterSlip::emptied($place, $passage, 1))
                        ->item("replaced:{$page->path()}:$passage");
                }
            }
        }
        foreach ($this->kept as $passage) {
            if (! self::isOnAny($passage, $pages)) {
                $shortfalls[] = self::changed($passage, $pages) ?? self::lost($passage, $pages[0]);
            }
        }
        $items = $places = count($this->replaced) * count($pages) + count($this->kept);
        $good = $places - count($shortfalls);
        foreach ($this->compares ? $pages : [] as $page) {
            $given = $starter?->pages[$site->expectedNameOf($page->path())] ?? null;
            if ($given !== null) {
                $comparison = StarterComparison::of($given, $page, $this->mark, $this->mayAdd);
                array_push($shortfalls, ...self::compared($page, $comparison));
                $items++;
                $places += $comparison->places();
                $good += $comparison->places() - $comparison->wrongPlaces();
            }
        }

        return Assessment::of(
            $items,
            $shortfalls,
            "$good of ".English::count($places, 'place').' as asked',
            $this->expectation(),
        );
    }

    /**
     * What a page comes to beside its starter file: each slip costs its share of the page.
     *
     * @return list<Shortfall>
     */
    private static function compared(Page $page, StarterComparison $comparison): array
    {
        return array_map(
            fn (StarterSlip $slip) => self::ofSlip($page, $slip)
                ->item("compared:{$page->path()}")
                ->costing($comparison->costOf($slip)),
            $comparison->slips,
        );
    }

    private static function ofSlip(Page $page, StarterSlip $slip): Shortfall
    {
        $isAboutIt = match ($slip->variant) {
            'lost' => false,
            'emptied' => $slip->element->words() === '',
            default => true,
        };

        return Shortfall::of(
            Draft::onPage(
                $page,
                $slip->span ?? $slip->element->place(),
                "{$slip->element->path()}#$slip->variant:$slip->anchor",
            )
                ->variant($slip->variant)
                ->mark($slip->mark)
                ->says($slip->message)
                ->remedy($slip->remedy)
                ->about(...$isAboutIt
                    ? self::subjects($page, [$slip->element, ...Walk::elements($slip->element)])
                    : []),
        );
    }

    /** Where a passage of the starter files was taken out of a page, with nothing in its place; null if it was not. */
    private static function placeOfEmptied(string $passage, Page $given, Page $page): ?Element
    {
        $span = self::find($passage, $given);
        $isInside = fn (Element $one) => $span !== null
            && $one->isWritten() && $one->place()->start >= $span->start && $one->place()->start < $span->end;
        $old = $span === null ? null : array_values(array_filter($given->elements, $isInside))[0] ?? null;

        return $old === null || $old->name === 'title'
            ? null
            : StarterComparison::placeOfEmptied($given, $page, $old);
    }

    /**
     * A passage that was to stay, where most of its words are still there.
     *
     * @param  list<Page>  $pages
     */
    private static function changed(string $passage, array $pages): ?Shortfall
    {
        $text = strip_tags($passage);
        foreach (count(PlacedWord::split($text)) < self::KNOWN ? [] : $pages as $page) {
            $body = $page->document->first('body');
            $slips = $body === null
                ? []
                : CopyComparison::of($body, $page->file->bytes, $text, false, 'starter file')->slips;
            foreach ($slips as $slip) {
                if ($slip->span !== null) {
                    return self::ofSlip($page, new StarterSlip(
                        'changed',
                        ProofMark::Change,
                        $slip->element,
                        "$slip->message The brief asks you to keep this text.",
                        $slip->remedy,
                        $slip->anchor,
                        1,
                        $slip->span,
                    ))->item("kept:$passage");
                }
            }
        }

        return null;
    }

    /**
     * @return list<Span> where the passages that are to be kept stand on a page: what is in them is not the student's
     */
    public function keptOn(Page $page): array
    {
        return array_values(array_filter(array_map(fn (string $passage) => self::find($passage, $page), $this->kept)));
    }

    /** @param  list<Page>  $pages */
    private static function isOnAny(string $passage, array $pages): bool
    {
        foreach ($pages as $page) {
            if (self::find($passage, $page) !== null) {
                return true;
            }
        }

        return false;
    }

    /** Where a passage stands, in the source or in the smallest element that holds its text. */
    private static function find(string $passage, Page $page): ?Span
    {
        if (str_contains($passage, '<')) {
            $pattern = implode('\s*+', array_map(fn (string $word) => preg_quote($word, '~'), self::pieces($passage)));

            return preg_match("~$pattern~u", $page->file->bytes, $match, PREG_OFFSET_CAPTURE) === 1
                ? new Span($match[0][1], $match[0][1] + strlen($match[0][0]))
                : null;
        }
        $innermost = null;
        foreach ($page->elements as $element) {
            $isNext = $innermost === null ? $element->parent === null : $element->parent === $innermost;
            if ($isNext && str_contains(self::collapse($element->text()), $passage)) {
                $innermost = $element;
            }
        }

        return $innermost === null ? null : $innermost->span() ?? Span::at(0);
    }

    /** @return list<string> the words and tags of a passage, between which there may be any white space */
    private static function pieces(string $passage): array
    {
        return preg_split('/\s+|(?=<)|(?<=>)/u', $passage, -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /**
     * @param  list<Element>  $elements
     * @return list<string>
     */
    private static function subjects(Page $page, array $elements): array
    {
        return array_map(fn (Element $one) => Subject::element($page->path(), $one), $elements);
    }

    private static function unchanged(string $passage, Page $page, Span $span): Shortfall
    {
        $isInside = fn (Element $one) => $one->place()->start >= $span->start && $one->place()->start < $span->end;

        return Shortfall::of(
            Draft::onPage($page, $span, '#'.substr(sha1($passage), 0, 8))
                ->variant('unchanged')
                ->mark(ProofMark::Change)
                ->says(StarterSlip::messageOfUnchanged($passage))
                ->remedy(StarterSlip::REPLACE)
                ->about(
                    Subject::place($page->path(), $span->start),
                    ...self::subjects($page, array_values(array_filter($page->elements, $isInside))),
                ),
        )->item("replaced:{$page->path()}:$passage");
    }

    private static function lost(string $passage, Page $page, ?string $item = null): Shortfall
    {
        $short = English::excerpt($passage, 60);

        return Shortfall::of(
            Draft::onPage($page, $page->bodyPlace(), '#'.substr(sha1($passage), 0, 8))
                ->variant('lost')
                ->mark(ProofMark::Insert)
                ->says("“{$short}” of the starter files is gone; the brief asks you to keep it.")
                ->remedy('Copy it back from the starter files.'),
        )->item($item ?? "kept:$passage");
    }

    private static function collapse(string $text): string
    {
        return trim(preg_replace('/\s+/u', ' ', $text) ?? '');
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Comparison\CopyComparison;
use InkedMargin\Core\Brief\Comparison\CopySlip;
use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Bounds;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\LostTag;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\NeedsMaterials;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Brief\Requirement\TextPattern;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Markup\ReadableText;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Consistency\CopyOwners;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Prose;
use InkedMargin\Core\Source\TextGroups;
use InkedMargin\Core\Style\Selector\SelectorList;

/**
 * What the text of a page, or of a part of it, says: words it has or has not, how much of it there is, and supplied
 * copy.
 */
final readonly class Text extends Requirement implements NeedsMaterials, SpeaksForItself
{
    /**
     * @param  SelectorList|null  $selector  null for the whole page
     * @param  list<TextPattern>  $has
     * @param  list<TextPattern>  $hasNot
     * @param  'words'|'sentences'|'paragraphs'  $of  what the bounds count
     * @param  string|null  $copy  the name of a supplied text
     * @param  bool  $alone  whether nothing but the copy may stand there
     * @param  bool  $differ  whether no two pages may say the same there
     * @param  bool  $together  whether what matches on a page is counted together, and not each match for itself
     */
    public function __construct(
        Terms $terms,
        private ?SelectorList $selector,
        private array $has,
        private array $hasNot,
        private Bounds $bounds,
        private string $of,
        private ?string $copy,
        private bool $alone,
        private bool $differ = false,
        private bool $together = false,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'text';
    }

    public static function about(): string
    {
        return 'What the text of a page, or of a part of it, says and how long it is.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/text',
            'Text requirement not met',
            Weight::Departure,
            ProofMark::Change,
            'A text does not say what the brief asks for, or is too long or too short.',
            'The brief says what the text has to say or how long it is. Readers should find what they '
                .'came for and no more than they need.',
            Citation::brief(),
            ['markup/stray-end-tag'],
        );
    }

    public static function fields(): array
    {
        return [
            Field::text('selector', 'the part of the page, as a CSS selector; the whole page when it is left out'),
            Field::texts('has', 'what it says: words with `*` for others, or a regular expression between slashes'),
            Field::texts('has_not', 'what it does not say, likewise'),
            ...Bounds::fields(),
            Field::choice('of', 'what is counted; `words` when it is left out', ['words', 'sentences', 'paragraphs']),
            Field::flag(
                'together',
                'whether all matches on a page are counted together; each is counted for itself when it is left out',
            ),
            Field::text('copy', 'the name of a supplied text, the words of which stand there', false, 200),
            Field::flag('alone', 'whether nothing but the copy may stand there; no when it is left out'),
            Field::flag(
                'differ',
                'whether no two pages may say the same there, or in any paragraph when there is no `selector`',
            ),
        ];
    }

    public static function variants(): array
    {
        $variants = ['absent', 'unsaid', 'said', 'too-few', 'too-many', 'copy', 'surplus', 'repeated'];

        return array_fill_keys($variants, 'brief/text');
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $of = $fields->text('of', 'words');
        $text = new self(
            $terms,
            $fields->has('selector') ? $fields->selector('selector') : null,
            self::patterns('has', $fields),
            self::patterns('has_not', $fields),
            Bounds::read($fields),
            $of === 'sentences' || $of === 'paragraphs' ? $of : 'words',
            $fields->optionalText('copy'),
            $fields->flag('alone', false),
            $fields->flag('differ', false),
            $fields->flag('together', false),
        );
        if (! $fields->says('has', 'has_not', 'exactly', 'at_least', 'at_most', 'copy', 'differ')) {
            $fields->problem('has', 'one of has, has_not, exactly, at_least, at_most, copy and differ is needed');
        }
        if ($text->alone && $text->copy === null) {
            $fields->problem('alone', 'only copy can stand alone: name it in "copy"');
        }

        return $text;
    }

    /** @return list<TextPattern> */
    private static function patterns(string $field, Fields $fields): array
    {
        $patterns = [];
        foreach ($fields->texts($field) as $written) {
            try {
                $patterns[] = TextPattern::read($written);
            } catch (BriefError $error) {
                $fields->problem($field, $error->problems[0]);
            }
        }

        return $patterns;
    }

    public function sentence(): string
    {
        $quote = fn (array $patterns, string $word) => English::list(
            array_map(fn (TextPattern $one) => "“{$one->written}”", array_values($patterns)),
            $word,
        );
        $wishes = array_filter([
            $this->has === [] ? '' : 'says '.$quote($this->has, 'and'),
            $this->hasNot === [] ? '' : 'does not say '.$quote($this->hasNot, 'or'),
            $this->bounds->isOpen()
                ? ''
                : ($this->together ? 'together ' : '')."has {$this->bounds->sentence()} $this->of",
            $this->differ ? 'does not say what another page says' : '',
            $this->copy === null ? '' : "has the words of `$this->copy`".($this->alone ? ' and no others' : ''),
        ]);
        $where = $this->selector === null ? '' : ", in `{$this->selector->written}`,";

        return "{$this->terms->pages->sentence()}$where ".English::list(array_values($wishes)).'.';
    }

    public function assess(ParsedSite $site): Assessment
    {
        return $this->assessAgainst($site, Materials::none());
    }

    public function assessAgainst(ParsedSite $site, Materials $materials): Assessment
    {
        $copy = $this->copy === null ? null : $materials->copy($this->copy);
        if ($this->copy !== null && $copy === null) {
            return Assessment::notJudged("`$this->copy` is not among the supplied texts", $this->expectation());
        }
        $items = 0;
        $shortfalls = [];
        $isTold = true;
        foreach ($this->terms->pages->of($site) as $page) {
            $parts = $this->partsOf($page);
            $items += $this->together && ! $this->saysMore() ? 1 : max(1, count($parts));
            if ($parts === []) {
                $shortfalls[] = $this->absent($page);
            }
            array_push($shortfalls, ...($this->together && $parts !== [] ? $this->lengthOf($page, $parts) : []));
            foreach ($parts as $part) {
                $found = $this->shortfallsIn($page, $part, $copy);
                $isTold = $isTold && $found !== null;
                array_push($shortfalls, ...($found ?? []));
            }
        }
        if (! $isTold) {
            return Assessment::notJudged('a pattern goes back and forth too often to tell', $this->expectation());
        }
        array_push($shortfalls, ...($this->differ ? $this->repeats($site) : []));
        $wrong = Assessment::itemsIn($shortfalls);
        $what = $this->selector === null ? English::count($items, 'page') : English::count($items, 'place');

        return Assessment::of(
            $items,
            $shortfalls,
            $items === 0 ? 'no such page' : $items - $wrong." of $what",
            $this->expectation(),
        );
    }

    /** @return list<Element> */
    private function partsOf(Page $page): array
    {
        if ($this->selector !== null) {
            return $this->selector->all($page->document);
        }
        $body = $page->document->first('body');

        return $body === null ? [] : [$body];
    }

    /** @return list<Shortfall>|null null when it cannot be told */
    private function shortfallsIn(Page $page, Element $part, ?string $copy): ?array
    {
        $text = ReadableText::of($part);
        $found = [];
        $found = $this->ofPatterns($page, $part, $text);
        if ($found === null) {
            return null;
        }
        $count = $this->together ? null : $this->countOf($part, $text);
        if ($count !== null && ! $this->bounds->allow($count)) {
            $found[] = $this->wrongLength($page, $part, $count);
        }
        $slips = $copy === null ? [] : CopyComparison::of($part, $page->file->bytes, $copy, $this->alone)->slips;
        foreach ($slips as $slip) {
            $found[] = self::ofCopy($slip, $page, $part);
        }

        return $found;
    }

    /** Whether anything but a length is asked for. */
    private function saysMore(): bool
    {
        return $this->has !== [] || $this->hasNot !== [] || $this->copy !== null || $this->differ;
    }

    /**
     * @param  non-empty-list<Element>  $parts
     * @return list<Shortfall> none or one
     */
    private function lengthOf(Page $page, array $parts): array
    {
        $counts = array_map(fn (Element $part) => $this->countOf($part, ReadableText::of($part)), $parts);
        $count = (int) array_sum($counts);

        return $this->bounds->allow($count) ? [] : [$this->wrongLength($page, $parts[0], $count)];
    }

    /** @return list<Shortfall>|null null where a pattern goes back and forth too often to tell */
    private function ofPatterns(Page $page, Element $part, string $text): ?array
    {
        $found = [];
        foreach ([[$this->has, true], [$this->hasNot, false]] as [$patterns, $isWanted]) {
            foreach ($patterns as $pattern) {
                $isSaid = $pattern->isIn($text);
                if ($isSaid === null) {
                    return null;
                }
                if ($isSaid !== $isWanted) {
                    $found[] = $isWanted ? $this->unsaid($page, $part, $pattern) : $this->said($page, $part, $pattern);
                }
            }
        }

        return $found;
    }

    private static function ofCopy(CopySlip $slip, Page $page, Element $part): Shortfall
    {
        return Shortfall::of(
            Draft::onPage(
                $page,
                $slip->span ?? $slip->element->place(),
                "{$slip->element->path()}#copy:{$slip->anchor}",
            )
                ->variant($slip->isSurplus ? 'surplus' : 'copy')
                ->mark($slip->isSurplus ? ProofMark::TakeOut : ProofMark::Change)
                ->says($slip->message)
                ->remedy($slip->remedy),
        )->item(self::itemOf($page, $part));
    }

    private function countOf(Element $part, string $text): int
    {
        return match ($this->of) {
            'words' => count(Prose::words($text)),
            'sentences' => count(Prose::sentences($text)),
            'paragraphs' => count(array_filter(
                [...Walk::elements($part)],
                fn (Element $one) => $one->name === 'p' && Prose::words($one->text()) !== [],
            )),
        };
    }

    private function absent(Page $page): Shortfall
    {
        $shown = $this->selector === null ? '`<body>`' : "`{$this->selector->written}`";
        $draft = Draft::onPage($page, $page->bodyPlace(), "text:{$this->terms->id}")
            ->variant('absent')
            ->mark(ProofMark::Insert)
            ->says("This page has no $shown, the text of which the brief asks for.")
            ->remedy("Add $shown, with its text.");
        if ($this->selector === null) {
            return Shortfall::of($draft);
        }
        $part = $this->selector->written;

        return Shortfall::of($draft->causedBy(...LostTag::of($page, $this->selector)))
            ->slips(...($this->isSaidElsewhere($page) ? SlipName::lack($page, $part) : []))
            ->following(SlipName::partAround($page, $part, 1));
    }

    /** Whether the page says what is asked for, only not in the part that is missing. */
    private function isSaidElsewhere(Page $page): bool
    {
        $body = $page->document->first('body');

        $found = $body === null ? null : $this->shortfallsIn($page, $body, null);

        return $found !== null && array_filter(
            $found,
            fn (Shortfall $one) => $one->draft->mark === ProofMark::Insert,
        ) === [];
    }

    private function unsaid(Page $page, Element $part, TextPattern $pattern): Shortfall
    {
        return $this->at(
            $page,
            $part,
            'unsaid',
            ProofMark::Insert,
            "The brief asks for the words “{$pattern->written}” here, and they are not there.",
            str_contains($pattern->written, '*') || str_starts_with($pattern->written, '/')
                ? 'Write what is asked for.'
                : "Type “{$pattern->written}”.",
            "unsaid:$pattern->written",
        );
    }

    private function said(Page $page, Element $part, TextPattern $pattern): Shortfall
    {
        $blocks = array_filter(
            ReadableText::blocks($part),
            fn (Element $block) => $pattern->isIn(ReadableText::of($block)) === true,
        );

        return $this->at(
            $page,
            array_values($blocks)[0] ?? $part,
            'said',
            ProofMark::TakeOut,
            "“{$pattern->written}” stands here; the brief asks for a text without it.",
            'Write it otherwise, or remove it.',
            "said:$pattern->written",
            $part,
        );
    }

    /** @return list<Shortfall> one for each text that belongs to another page */
    private function repeats(ParsedSite $site): array
    {
        /** @var TextGroups<array{Page, Element, Element}> $byWords */
        $byWords = new TextGroups;
        foreach ($this->terms->pages->of($site) as $page) {
            foreach ($this->partsOf($page) as $part) {
                foreach ($this->selector === null ? self::paragraphsOf($page) : [$part] as $text) {
                    $words = mb_strtolower($text->words());
                    if ($words !== '') {
                        $byWords->add($words, [$page, $text, $part]);
                    }
                }
            }
        }
        $found = [];
        foreach ($byWords as $words => $same) {
            $pages = [];
            foreach ($same as [$page]) {
                $pages[spl_object_id($page)] = $page;
            }
            $pages = array_values($pages);
            $owner = $site->fact(CopyOwners::class)->owner($words, $pages);
            // What most pages say, such as a notice, they say on purpose.
            $isOnMost = count($site->pages) > 3 && 2 * count($pages) > count($site->pages);
            foreach (count($pages) > 1 && ! $isOnMost ? $same : [] as [$page, $text, $part]) {
                if ($page !== $owner) {
                    $found[] = $this->repeated($page, $text, $part, $owner);
                }
            }
        }

        return $found;
    }

    /** @return list<Element> paragraphs of the content of a page */
    private static function paragraphsOf(Page $page): array
    {
        $isContent = fn (Element $one) => ! in_array($page->outline->partOf($one), PartKind::AROUND, true);

        return array_values(array_filter($page->named('p'), $isContent));
    }

    private function repeated(Page $page, Element $text, Element $part, Page $owner): Shortfall
    {
        return $this->at(
            $page,
            $text,
            'repeated',
            ProofMark::Change,
            "`{$owner->path()}` says the same; the brief asks for other words on each page.",
            'Write what belongs on this page.',
            'repeated',
            $part,
        );
    }

    private function wrongLength(Page $page, Element $part, int $count): Shortfall
    {
        $isShort = $this->bounds->isShort($count);
        $one = rtrim($this->of, 's');
        $difference = English::count($this->bounds->distance($count), $one);

        return $this->at(
            $page,
            $part,
            $isShort ? 'too-few' : 'too-many',
            $isShort ? ProofMark::Insert : ProofMark::TakeOut,
            'There '.($count === 1 ? 'is ' : 'are ').($count === 0 ? "no $this->of" : English::count($count, $one))
                ." here; the brief asks for {$this->bounds->sentence()}.",
            $isShort ? "Write $difference more." : "Shorten it by $difference.",
            "length:$this->of",
        );
    }

    private function at(
        Page $page,
        Element $place,
        string $variant,
        ProofMark $mark,
        string $message,
        string $remedy,
        string $anchor,
        ?Element $part = null,
    ): Shortfall {
        return Shortfall::of(
            Draft::onPage($page, $place->place(), "{$place->path()}#{$this->terms->id}:$anchor")
                ->variant($variant)
                ->mark($mark)
                ->says($message)
                ->remedy($remedy)
                ->about(...($variant === 'repeated' ? [Subject::element($page->path(), $place)] : [])),
        )->item(self::itemOf($page, $part ?? $place));
    }

    private static function itemOf(Page $page, Element $part): string
    {
        return "{$page->path()} {$part->place()->start}";
    }
}

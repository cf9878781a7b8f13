<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Comparison\StarterPassage;
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

    /**
     * @param  list<string>  $replaced  white space collapsed
     * @param  list<string>  $kept
     * @param  bool  $compares  whether the pages are held against the starter files: what is marked there is changed,
     *     and all else is still there
     * @param  string  $mark  by which it is known what is to be changed
     */
    public function __construct(
        Terms $terms,
        public array $replaced,
        public array $kept,
        private bool $compares = false,
        private string $mark = self::MARK,
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
        ];
    }

    public static function variants(): array
    {
        return [
            'unchanged' => 'content/starter-unchanged',
            'lost' => 'brief/starter',
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
                ? "What is marked with `$this->mark` in the starter files is changed, and all else is kept."
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
                if ($span !== null) {
                    $shortfalls[] = self::unchanged($passage, $page, $span);
                }
            }
        }
        foreach ($this->kept as $passage) {
            if (! self::isOnAny($passage, $pages)) {
                $shortfalls[] = self::lost($passage, $pages[0]);
            }
        }
        $items = count($this->replaced) * count($pages) + count($this->kept);
        foreach ($this->compares ? $pages : [] as $page) {
            $given = $starter?->pages[$site->expectedNameOf($page->path())] ?? null;
            $passages = $given === null ? [] : StarterPassage::allOn($given, $this->mark);
            $items += count($passages);
            array_push($shortfalls, ...$this->comparison($page, $passages));
        }
        $good = $items - count($shortfalls);

        return Assessment::of(
            $items,
            $shortfalls,
            "$good of ".English::count($items, 'place').' as asked',
            $this->expectation(),
        );
    }

    /**
     * @param  list<StarterPassage>  $given  the passages of the page in the starter files
     * @return list<Shortfall>
     */
    private function comparison(Page $page, array $given): array
    {
        $written = $byPath = [];
        foreach (StarterPassage::allOn($page, $this->mark) as $passage) {
            $written[$passage->key()] ??= $passage->element;
        }
        foreach ($page->elements as $element) {
            $byPath[$element->path()] ??= $element;
        }
        $shortfalls = [];
        foreach ($given as $nth => $passage) {
            $same = $passage->text === ''
                ? $byPath[$passage->element->path()] ?? null
                : $written[$passage->key()] ?? null;
            if ($passage->text === '' && $same !== null && $same->words() !== '') {
                $same = null;
            }
            if ($passage->isMarked && $same !== null) {
                $shown = $passage->text === '' ? "the empty `<{$passage->element->name}>`" : $passage->text;
                $shortfalls[] = self::unchanged($shown, $page, $same->place(), "$nth");
            } elseif (! $passage->isMarked && $same === null) {
                $shortfalls[] = self::lost($passage->text, $page, "{$page->path()} $nth");
            }
        }

        return $shortfalls;
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

    private static function unchanged(string $passage, Page $page, Span $span, string $nth = ''): Shortfall
    {
        $short = English::excerpt($passage, 60);

        return Shortfall::of(
            Draft::onPage($page, $span, '#'.substr(sha1($passage), 0, 8))
                ->variant('unchanged')
                ->mark(ProofMark::Change)
                ->says("“{$short}” comes from the starter files; the brief asks you to replace it.")
                ->remedy('Write your own in its place.')
                ->about(Subject::place($page->path(), $span->start)),
        )->item("replaced:{$page->path()}:$passage$nth");
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

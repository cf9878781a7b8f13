<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Bounds;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Site\Consistency\PictureCopy;
use InkedMargin\Core\Site\Consistency\SharedPictures;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Style\Selector\SelectorList;

/** How many pictures a page has, with alt text, and different ones on different pages. */
final readonly class Pictures extends Requirement implements SpeaksForItself
{
    /**
     * @param  bool  $withAlt  whether every picture has to have alt text that is not empty
     * @param  SelectorList|null  $selector  which pictures count; null for every `img`
     * @param  int|null  $largest  kilobytes of 1,000 bytes that the file of each may have
     * @param  int|null  $breaks  how many line breaks follow on each; null where it does not matter
     */
    public function __construct(
        Terms $terms,
        private Bounds $bounds,
        public bool $withAlt,
        private bool $differ,
        private ?SelectorList $selector,
        private ?int $largest = null,
        public ?int $breaks = null,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'pictures';
    }

    public static function about(): string
    {
        return 'How many pictures a page has, with alt text, and different ones on different pages.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/pictures',
            'Picture requirement not met',
            Weight::Departure,
            ProofMark::Change,
            'A page has more, fewer or larger pictures than the brief asks for.',
            'The brief says how many pictures a page shows and how large their files may be, so that '
                .'there is something to see and pages still load fast.',
            Citation::brief(),
        );
    }

    public static function fields(): array
    {
        return [
            Field::wholeNumber('at_least', 'so many pictures a page, or more'),
            Field::wholeNumber('at_most', 'so many a page, or fewer'),
            Field::flag('alt', 'whether each has alt text with words; yes when it is left out'),
            Field::flag(
                'differ',
                'whether no two pages may show the same, under whatever name; what most pages show is left out',
            ),
            Field::wholeNumber('largest', 'how many kB (1,000 bytes) the file of each may have', 1),
            Field::wholeNumber('breaks', 'how many line breaks (`<br>`) stand right after each', 0, 20),
            Field::text('selector', 'which pictures count, as a CSS selector; every `img` when it is left out'),
        ];
    }

    public static function variants(): array
    {
        return [
            'too-few' => 'brief/pictures',
            'too-many' => 'brief/pictures',
            'no-alt' => 'markup/missing-alt',
            'same' => 'content/same-picture',
            'too-large' => 'brief/pictures',
            'breaks' => 'brief/pictures',
        ];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        return new self(
            $terms,
            new Bounds(null, $fields->wholeNumber('at_least'), $fields->wholeNumber('at_most')),
            $fields->flag('alt', true),
            $fields->flag('differ', false),
            $fields->has('selector') ? $fields->selector('selector') : null,
            $fields->wholeNumber('largest'),
            $fields->wholeNumber('breaks'),
        );
    }

    public function sentence(): string
    {
        $pictures = $this->bounds->isOpen()
            ? 'pictures'
            : "{$this->bounds->sentence()} "
                .($this->bounds->most() === 1 || $this->bounds->sentence() === 'at least 1' ? 'picture' : 'pictures');

        return "{$this->terms->pages->sentence()} has $pictures"
            .($this->selector === null ? '' : " (`{$this->selector->written}`)")
            .($this->withAlt ? ', each with alt text' : '')
            .($this->breaks === null ? '' : ', each with '.self::breaksInWords($this->breaks).' after it')
            .($this->largest === null ? '' : ", none larger than $this->largest kB")
            .($this->differ ? ', and no two pages show the same.' : '.');
    }

    public function assess(ParsedSite $site): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $shortfalls = [];
        foreach ($pages as $page) {
            array_push($shortfalls, ...$this->shortfallsOn($page));
        }
        if ($this->largest !== null) {
            $shortfalls = [...$shortfalls, ...$this->tooLarge($pages, $site, 1000 * $this->largest)];
        }
        if ($this->differ) {
            $shortfalls = [...$shortfalls, ...$this->repeated($pages, $site)];
        }

        return Assessment::ofPages(count($pages), $shortfalls, $this->expectation());
    }

    /** @return list<Shortfall> a wrong number, and pictures without alt text */
    private function shortfallsOn(Page $page): array
    {
        $shortfalls = [];
        $pictures = $this->on($page);
        $count = count($pictures);
        if (! $this->bounds->allow($count)) {
            $shortfalls[] = $this->wrongNumber($page, $pictures);
        }
        foreach ($this->withAlt ? $pictures : [] as $picture) {
            if (trim($picture->value('alt') ?? '') === '') {
                $shortfalls[] = self::withoutAlt($page, $picture);
            }
        }

        $wanted = $this->breaks;
        foreach ($wanted === null ? [] : $pictures as $picture) {
            $breaks = self::breaksAfter($picture);
            if (count($breaks) !== $wanted) {
                $shortfalls[] = self::wrongBreaks($page, $picture, $breaks, (int) $wanted);
            }
        }

        return $shortfalls;
    }

    /** @return list<Element> line breaks that follow on a picture, with nothing between */
    private static function breaksAfter(Element $picture): array
    {
        $around = $picture;
        // A link around a picture ends with it.
        while ($around->parent instanceof Element && $around->parent->name === 'a') {
            $around = $around->parent;
        }
        $siblings = $around->parent->children ?? [];
        $at = (int) array_search($around, $siblings, true);
        $breaks = [];
        foreach (array_slice($siblings, $at + 1) as $next) {
            if ($next instanceof Element && $next->is('br')) {
                $breaks[] = $next;
            } elseif (! $next instanceof Comment && ! ($next instanceof TextNode && $next->isBlank())) {
                break;
            }
        }

        return $breaks;
    }

    /** @param  list<Element>  $breaks  those that are there */
    private static function wrongBreaks(Page $page, Element $picture, array $breaks, int $wanted): Shortfall
    {
        $missing = $wanted - count($breaks);
        $surplus = $breaks[$wanted] ?? null;

        return Shortfall::of(
            Draft::onPage($page, ($surplus ?? $picture)->place(), "{$picture->path()}#breaks")
                ->variant('breaks')
                ->mark($missing > 0 ? ProofMark::Insert : ProofMark::TakeOut)
                ->says('After this picture '.(count($breaks) === 1 ? 'is ' : 'are ').self::breaksInWords(count($breaks))
                    .'; the brief asks for '.($wanted === 0 ? 'none' : $wanted).'.')
                ->remedy($missing > 0
                    ? 'Type `'.str_repeat('<br>', $missing).'` right after '
                        .($breaks === [] ? 'the picture.' : 'the '.English::count(count($breaks), 'line break').'.')
                    : 'Remove '.English::count(-$missing, 'line break').'.')
                ->about(Subject::element($page->path(), $picture)),
        );
    }

    private static function breaksInWords(int $count): string
    {
        return $count === 0 ? 'no line breaks' : English::count($count, 'line break');
    }

    /** @return list<Element> */
    private function on(Page $page): array
    {
        $isCounted = fn (Element $picture) => $picture->isWritten()
            && ($this->selector === null || $this->selector->matches($picture, $page->matching));

        return array_values(array_filter($page->named('img'), $isCounted));
    }

    /** @param  list<Element>  $pictures */
    private function wrongNumber(Page $page, array $pictures): Shortfall
    {
        $count = count($pictures);
        $selector = $this->selector->written ?? 'img';
        $isShort = $this->bounds->isShort($count);
        $element = $isShort ? end($pictures) : $pictures[$this->bounds->most()];
        $where = $this->selector === null ? '' : " (`{$this->selector->written}`)";
        $difference = English::count($this->bounds->distance($count), 'picture');
        $place = $element === false ? $page->bodyPlace() : $element->place();
        $has = $count === 0 ? 'no picture' : English::count($count, 'picture');
        $draft = Draft::onPage($page, $place, "pictures:{$this->terms->id}")
            ->variant($isShort ? 'too-few' : 'too-many')
            ->mark($isShort ? ProofMark::Insert : ProofMark::TakeOut)
            ->says("This page has $has$where; the brief asks for {$this->bounds->sentence()}.")
            ->remedy($isShort ? "Add $difference with `<img src=\"…\" alt=\"…\">`." : "Remove $difference.");

        return Shortfall::of($draft)
            ->slips(...$this->bounds->slips($page, $selector, $count))
            ->following($isShort ? SlipName::partAround($page, $selector, $this->bounds->least()) : []);
    }

    private static function withoutAlt(Page $page, Element $picture): Shortfall
    {
        $alt = $picture->attribute('alt');

        return Shortfall::of(
            Draft::onPage($page, $alt?->span() ?? $picture->place(), "{$picture->path()}@alt")
                ->variant('no-alt')
                ->mark(ProofMark::Insert)
                ->says($alt === null
                    ? 'This picture has no alt text; the brief asks for it.'
                    : 'The alt text of this picture is empty; the brief asks for words.')
                ->remedy('Write what the picture shows: `alt="…"`.')
                ->about(Subject::element($page->path(), $picture)),
        )->slips(SlipName::attribute($page, $picture, 'alt'));
    }

    /**
     * @param  list<Page>  $pages
     * @return list<Shortfall>
     */
    private function tooLarge(array $pages, ParsedSite $site, int $most): array
    {
        $shortfalls = [];
        foreach ($pages as $page) {
            $pictures = $this->on($page);
            foreach ($page->references as $reference) {
                $file = $reference->target->found === null ? null : $site->files->file($reference->target->found);
                if ($file !== null && strlen($file->bytes) > $most && in_array($reference->element, $pictures, true)) {
                    $shortfalls[] = $this->tooHeavy($page, $reference, $file);
                }
            }
        }

        return $shortfalls;
    }

    private function tooHeavy(Page $page, Reference $reference, SourceFile $file): Shortfall
    {
        $size = (int) ceil(strlen($file->bytes) / 1000);

        return Shortfall::of(
            Draft::onPage($page, $reference->span, "{$reference->anchor()}#large")
                ->variant('too-large')
                ->mark(ProofMark::Change)
                ->says("`$file->path` has $size kB; the brief asks for $this->largest kB at most.")
                ->remedy('Save it with fewer pixels, or more compressed.')
                ->about(Subject::place($page->path(), $reference->span->start)),
        );
    }

    /**
     * @param  list<Page>  $pages
     * @return list<Shortfall>
     */
    private function repeated(array $pages, ParsedSite $site): array
    {
        $shortfalls = [];
        foreach (SharedPictures::among($site, $pages, $this->on(...), byContent: true) as $copy) {
            $shortfalls[] = Shortfall::of(
                Draft::onPage($copy->page, $copy->reference->span, "{$copy->reference->anchor()}#same")
                    ->variant('same')
                    ->mark(ProofMark::Change)
                    ->says($copy->message())
                    ->remedy(PictureCopy::REMEDY)
                    ->related(new Related($copy->owner->file, $copy->original->span, 'the same picture'))
                    ->about(Subject::place($copy->page->path(), $copy->reference->span->start)),
            );
        }

        return $shortfalls;
    }
}

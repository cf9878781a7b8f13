<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
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
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\PictureSize;
use InkedMargin\Core\Style\Selector\SelectorList;

/**
 * Attributes that elements have, must not have, or alone may have; and the size of a picture as its attributes tell it.
 */
final readonly class Attributes extends Requirement implements SpeaksForItself
{
    /**
     * @param  array<string, TextPattern|null>  $has  what each of them has to be, by name; null for anything
     * @param  list<string>  $hasNot  names
     * @param  list<string>|null  $only  names; null where any others may be there
     * @param  bool  $pictureSize  whether width and height are to be those of the picture itself
     */
    public function __construct(
        Terms $terms,
        private SelectorList $selector,
        private array $has,
        private array $hasNot,
        private ?array $only,
        private bool $pictureSize,
        private ?int $widest,
        private ?int $highest,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'attributes';
    }

    public static function about(): string
    {
        return 'Which attributes elements have, and what is in them.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/attributes',
            'Wrong attributes',
            Weight::Departure,
            ProofMark::Change,
            'An element has not the attributes that the brief asks for.',
            'Attributes tell the browser what to do with an element: where a link leads, how large a '
                .'picture is. The brief names those that matter here.',
            Citation::brief(),
        );
    }

    public static function fields(): array
    {
        return [
            Field::selector('selector', 'which elements'),
            Field::texts(
                'has',
                'attributes that each has: a name, or `name=value`, the value with `*` or a regular expression between '
                    .'slashes',
            ),
            Field::texts('has_not', 'attributes that none has'),
            Field::texts('only', 'the only attributes that may be there'),
            Field::flag('picture_size', 'whether `width` and `height` are those of the picture itself'),
            Field::wholeNumber('at_most_width', 'the largest `width`, in px', 1),
            Field::wholeNumber('at_most_height', 'the largest `height`, in px', 1),
        ];
    }

    public static function variants(): array
    {
        return array_fill_keys(['missing', 'value', 'forbidden', 'size', 'absent'], 'brief/attributes');
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $has = [];
        foreach ($fields->texts('has') as $written) {
            $parts = explode('=', $written, 2);
            $name = strtolower(trim($parts[0]));
            try {
                $has[$name] = isset($parts[1]) ? TextPattern::read(trim($parts[1])) : null;
            } catch (BriefError $error) {
                $fields->problem('has', $error->problems[0]);
            }
        }
        $names = fn (string $field) => array_map(fn (string $name) => strtolower(trim($name)), $fields->texts($field));
        $attributes = new self(
            $terms,
            $fields->selector('selector'),
            $has,
            $names('has_not'),
            $fields->has('only') ? $names('only') : null,
            $fields->flag('picture_size', false),
            $fields->wholeNumber('at_most_width'),
            $fields->wholeNumber('at_most_height'),
        );
        if (in_array(
            '',
            [...array_map(strval(...), array_keys($has)), ...$attributes->hasNot, ...$attributes->only ?? []],
            true,
        )) {
            $fields->problem('has', 'an attribute has a name');
        }
        if (! $fields->says('has', 'has_not', 'only', 'picture_size', 'at_most_width', 'at_most_height')) {
            $fields->problem(
                'has',
                'one of has, has_not, only, picture_size, at_most_width and at_most_height is needed',
            );
        }
        $both = array_intersect(array_map(strval(...), array_keys($has)), $attributes->hasNot);
        if ($both !== []) {
            $fields->problem('has_not', '"'.implode('", "', $both).'" cannot be asked for and refused');
        }

        return $attributes;
    }

    public function sentence(): string
    {
        return "{$this->terms->pages->sentence()}: each `{$this->selector->written}` ".English::list($this->wishes())
            .'.';
    }

    /** @return list<string> */
    private function wishes(): array
    {
        $has = [];
        foreach ($this->has as $name => $value) {
            $has[] = $value === null ? "`$name`" : "`$name=\"$value->written\"`";
        }

        return array_values(array_filter([
            $has === [] ? '' : 'has '.English::list($has),
            $this->hasNot === [] ? '' : 'has no '.English::names($this->hasNot, 'or'),
            $this->only === null
                ? ''
                : 'has '.($this->only === [] ? 'no attributes' : 'only '.English::names($this->only)),
            $this->pictureSize ? 'is shown in the size of its picture' : '',
            $this->widest === null ? '' : "is $this->widest px wide at most",
            $this->highest === null ? '' : "is $this->highest px high at most",
        ]));
    }

    /** Whether an element of a page must not have an attribute. */
    public function forbids(Page $page, Element $element, string $attribute): bool
    {
        $isForbidden = in_array($attribute, $this->hasNot, true)
            || ($this->only !== null && ! in_array($attribute, $this->only, true));

        return $isForbidden && $this->isAbout($page, $element);
    }

    /** Whether an element of a page has to have an attribute. */
    public function wants(Page $page, Element $element, string $attribute): bool
    {
        return array_key_exists($attribute, $this->has) && $this->isAbout($page, $element);
    }

    private function isAbout(Page $page, Element $element): bool
    {
        return $this->terms->pages->covers($page->path()) && $this->selector->matches($element, $page->matching);
    }

    public function assess(ParsedSite $site): Assessment
    {
        $items = 0;
        $shortfalls = [];
        $pages = $this->terms->pages->of($site);
        foreach ($pages as $page) {
            foreach ($this->selector->all($page->document) as $element) {
                $items++;
                array_push($shortfalls, ...$this->shortfallsOf($page, $element, $site));
            }
        }
        if ($items === 0 && $pages !== []) {
            return $this->withoutElements($pages);
        }
        $wrong = Assessment::itemsIn($shortfalls);

        return Assessment::of(
            $items,
            $shortfalls,
            $items === 0 ? 'no such page' : $items - $wrong.' of '.English::count($items, 'element'),
            $this->expectation(),
        );
    }

    /**
     * An attribute that has to be there is not there without an element; one that may not be there is not there either.
     *
     * @param  non-empty-list<Page>  $pages
     */
    private function withoutElements(array $pages): Assessment
    {
        $shown = "`{$this->selector->written}`";
        if ($this->has === []) {
            return Assessment::of(1, [], "no $shown", $this->expectation());
        }
        $names = English::names(array_map(strval(...), array_keys($this->has)));
        $shortfall = Shortfall::of(
            Draft::onPage($pages[0], $pages[0]->bodyPlace(), "attributes:{$this->terms->id}")
                ->variant('absent')
                ->mark(ProofMark::Insert)
                ->says((count($pages) === 1 ? 'This page has' : 'These pages have')." no $shown; the brief asks for "
                    .(count($this->has) === 1 ? "its attribute $names." : "its attributes $names."))
                ->remedy("Add $shown with $names."),
        )->item('absent')->slips(...SlipName::none($pages, $this->selector->written));

        return Assessment::of(1, [$shortfall], "no $shown", $this->expectation());
    }

    /** @return list<Shortfall> */
    private function shortfallsOf(Page $page, Element $element, ParsedSite $site): array
    {
        $found = [];
        foreach ($this->has as $name => $pattern) {
            $value = $element->value((string) $name);
            if ($value === null) {
                $typed = $pattern === null || str_contains($pattern->written, '*') || $pattern->written[0] === '/'
                    ? "$name=\"…\""
                    : "$name=\"$pattern->written\"";
                $found[] = self::at(
                    $page,
                    $element,
                    (string) $name,
                    'missing',
                    ProofMark::Insert,
                    "This {$this->name($element)} has no `$name`; the brief asks for it.",
                    "Type `$typed` inside the tag.",
                );
            } elseif ($pattern?->is($value) === false) {
                $found[] = self::at(
                    $page,
                    $element,
                    (string) $name,
                    'value',
                    ProofMark::Change,
                    "`$name` is `".English::excerpt($value)."`; the brief asks for `$pattern->written`.",
                    str_contains($pattern->written, '*') || $pattern->written[0] === '/'
                        ? "Write `$name` in this form."
                        : "Type `$name=\"$pattern->written\"`.",
                );
            }
        }
        foreach ($element->attributes as $attribute) {
            $isForbidden = in_array($attribute->name, $this->hasNot, true);
            if ($isForbidden || ($this->only !== null && ! in_array($attribute->name, $this->only, true))) {
                $allowed = $isForbidden || $this->only === [] ? 'none' : 'only '.English::names($this->only ?? []);
                $found[] = self::at(
                    $page,
                    $element,
                    $attribute->name,
                    'forbidden',
                    ProofMark::TakeOut,
                    "This {$this->name($element)} has `$attribute->name`; the brief allows "
                        .($isForbidden ? 'it not' : $allowed).' here.',
                    "Remove `$attribute->name` from the tag.",
                );
            }
        }

        return [...$found, ...$this->sizeOf($page, $element, $site)];
    }

    private function name(Element $element): string
    {
        return "`<$element->name>`";
    }

    /** @return list<Shortfall> */
    private function sizeOf(Page $page, Element $element, ParsedSite $site): array
    {
        $own = $this->pictureSize ? self::ownSize($page, $element, $site) : null;
        $found = [];
        foreach ([
            'width' => [$own?->width, $this->widest],
            'height' => [$own?->height, $this->highest],
        ] as $name => [$size, $most]) {
            $written = $element->value($name);
            $isNumber = $written !== null && preg_match('/^\s*\d+/', $written) === 1;
            $shown = $isNumber ? (int) trim($written) : $size;
            $shortfall = $this->objection($page, $element, $name, $size, $shown, $most);
            if ($shortfall !== null) {
                $found[] = $shortfall;
            }
        }

        return $found;
    }

    /**
     * @param  ?int  $size the size of the picture, in pixels
     * @param  ?int  $shown the size that it is shown at, in pixels
     */
    private function objection(
        Page $page,
        Element $element,
        string $name,
        ?int $size,
        ?int $shown,
        ?int $most,
    ): ?Shortfall {
        $written = $element->value($name);
        $at = fn (ProofMark $mark, string $message, string $remedy) => self::at(
            $page,
            $element,
            $name,
            'size',
            $mark,
            $message,
            $remedy,
        );

        return match (true) {
            $size !== null && $written === null => $at(
                ProofMark::Insert,
                "This {$this->name($element)} has no `$name`; its picture has $size px.",
                "Type `$name=\"$size\"` inside the tag.",
            ),
            $size !== null && $shown !== $size => $at(
                ProofMark::Change,
                "`$name` is `".English::excerpt((string) $written)."`, and the picture has $size px.",
                "Type `$name=\"$size\"`.",
            ),
            $most !== null && $shown !== null && $shown > $most => $at(
                ProofMark::Change,
                "`$name` is $shown px; the brief asks for $most px at most.",
                "Type a `$name` of $most or less, and change the other side with it.",
            ),
            default => null,
        };
    }

    private static function ownSize(Page $page, Element $element, ParsedSite $site): ?PictureSize
    {
        foreach ($page->references as $reference) {
            if ($reference->element === $element && $reference->target->found !== null) {
                $file = $site->files->file($reference->target->found);

                return $file === null ? null : PictureSize::of($file);
            }
        }

        return null;
    }

    private static function at(
        Page $page,
        Element $element,
        string $name,
        string $variant,
        ProofMark $mark,
        string $message,
        string $remedy,
    ): Shortfall {
        $place = $element->attribute($name)?->span() ?? $element->place();
        $draft = Draft::onPage($page, $place, "{$element->path()}@$name:$variant")
            ->variant($variant)
            ->mark($mark)
            ->says($message)
            ->remedy($remedy)
            ->about(Subject::element($page->path(), $element));
        $isThereOrNot = in_array($variant, ['missing', 'forbidden'], true);

        return Shortfall::of($draft)
            ->item("{$page->path()} {$element->place()->start}")
            ->slips(...($isThereOrNot ? [SlipName::attribute($page, $element, $name)] : []));
    }
}

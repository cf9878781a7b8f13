<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Comparison\GivenSheets;
use InkedMargin\Core\Brief\Comparison\StyleUse;
use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\NeedsMaterials;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\PageStyle;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Selector\ClassSelector;
use InkedMargin\Core\Style\Selector\IdSelector;

/** The stylesheets every page links, in their order; what they hold; and whether styles may stand in pages. */
final readonly class Stylesheets extends Requirement implements NamesThings, NeedsMaterials, SpeaksForItself
{
    private const MAX_RELATED = 6;

    private const IN_PAGES = ['allowed', 'refused', 'wanted'];

    /**
     * @param  list<string>  $sheets  paths from the site's root
     * @param  list<StyleUse>  $uses  what the sheets have to hold
     * @param  int  $leastRules  how many rules they have to hold
     * @param  string  $inline  whether `style` attributes are `allowed`, `refused` or `wanted`
     * @param  string  $embedded  the same of `style` elements
     * @param  int  $leastClasses  how many classes their selectors name
     * @param  int  $leastIds  how many ids their selectors name
     * @param  bool  $areGiven  whether the sheets that the assignment gives are to be there as they are
     */
    public function __construct(
        Terms $terms,
        public array $sheets,
        private array $uses = [],
        private int $leastRules = 0,
        private string $inline = 'allowed',
        private string $embedded = 'allowed',
        private bool $areGiven = false,
        private int $leastClasses = 0,
        private int $leastIds = 0,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'stylesheets';
    }

    public static function about(): string
    {
        return 'The stylesheets that every page links, in order; what they hold; whether styles may stand in pages.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/stylesheet',
            'Stylesheet requirement not met',
            Weight::Departure,
            ProofMark::Insert,
            'The stylesheets do not hold what the brief asks for.',
            'The brief names what the styles have to do. If a part is missing, the pages do not look '
                .'as they should.',
            Citation::brief(),
            ['link/missing-file'],
        );
    }

    public static function fields(): array
    {
        return [
            Field::texts('sheets', 'paths from the root of the site, in the order of their links'),
            Field::texts('uses', 'what the stylesheets hold: a selector, a property, or `selector { property }`'),
            Field::wholeNumber('at_least_rules', 'how many rules the stylesheets hold', 1),
            Field::wholeNumber('at_least_classes', 'how many different classes their selectors name, such as `.note`', 1),
            Field::wholeNumber('at_least_ids', 'how many different ids their selectors name, such as `#nav`', 1),
            self::wishField('inline', '`style` attributes'),
            self::wishField('embedded', '`style` elements'),
            Field::flag(
                'given',
                'whether the stylesheets that the assignment gives are to be there as they are; no when it is left out',
            ),
        ];
    }

    private static function wishField(string $name, string $what): Field
    {
        return Field::choice($name, "whether $what are allowed; they are, when it is left out", self::IN_PAGES);
    }

    public static function variants(): array
    {
        return [
            'missing' => 'style/not-on-page',
            'order' => 'style/sheet-order',
            'inline' => 'style/inline',
            'embedded' => 'style/embedded',
            'not-inline' => 'brief/stylesheet',
            'not-embedded' => 'brief/stylesheet',
            'use' => 'brief/stylesheet',
            'few-rules' => 'brief/stylesheet',
            'few-classes' => 'brief/stylesheet',
            'few-ids' => 'brief/stylesheet',
            'given-missing' => 'brief/stylesheet',
            'given-changed' => 'brief/stylesheet',
        ];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $read = new self(
            $terms,
            $fields->texts('sheets'),
            array_values(array_filter(array_map(function (string $written) use ($fields): ?StyleUse {
                $use = StyleUse::read($written);
                if ($use === null) {
                    $fields->problem(
                        'uses',
                        "`$written` is neither a selector, nor a property, nor `selector { property }`",
                    );
                }

                return $use;
            }, $fields->texts('uses')))),
            $fields->wholeNumber('at_least_rules') ?? 0,
            $fields->text('inline', 'allowed'),
            $fields->text('embedded', 'allowed'),
            $fields->flag('given', false),
            $fields->wholeNumber('at_least_classes') ?? 0,
            $fields->wholeNumber('at_least_ids') ?? 0,
        );
        $isAsked = $read->inOrder() !== '' || $read->wishes() !== [];
        if (! $isAsked && ! $fields->says('sheets', 'uses', 'at_least_rules', 'at_least_classes', 'at_least_ids')) {
            $fields->problem('sheets', 'one of sheets, uses, at_least_rules, at_least_classes, at_least_ids, inline, embedded and given is needed');
        }

        return $read;
    }

    public function readsStyles(): bool
    {
        return true;
    }

    public function sentence(): string
    {
        $links = $this->sheets === [] ? '' : "{$this->terms->pages->sentence()} links {$this->inOrder()}";
        $wishes = English::list($this->wishes());
        $wishes = $links === '' ? ucfirst($wishes) : $wishes;

        return implode('; ', array_filter([$links, $wishes], fn (string $part) => $part !== '')).'.';
    }

    public function named(string $what): array
    {
        return $what === 'path'
            ? array_merge(...array_map(fn (string $sheet) => explode('/', $sheet), $this->sheets))
            : [];
    }

    public function assess(ParsedSite $site): Assessment
    {
        return $this->assessAgainst($site, Materials::none());
    }

    public function assessAgainst(ParsedSite $site, Materials $materials): Assessment
    {
        if ($this->areGiven && $materials->parsedSheets() === []) {
            return Assessment::notJudged('the assignment gives no stylesheets', $this->expected());
        }
        $pages = $this->terms->pages->of($site);
        $shortfalls = [];
        foreach ($pages as $page) {
            foreach (self::missingOn($page, $this->sheets) as $sheet) {
                $shortfalls[] = self::missing($page, $sheet);
            }
            $shortfall = $this->order($page);
            if ($shortfall !== null) {
                $shortfalls[] = $shortfall;
            }
        }

        foreach ($pages as $page) {
            array_push($shortfalls, ...$this->inPage($page));
        }
        $given = $this->areGiven ? count($materials->parsedSheets()) : 0;
        $numbers = array_filter([$this->leastRules, $this->leastClasses, $this->leastIds]);
        $wishes = count($this->uses) + count($numbers) + $given;
        if ($wishes === 0) {
            return Assessment::ofPages(count($pages), $shortfalls, $this->expected());
        }
        $items = count($pages) + $wishes;
        $changed = $given === 0 ? [] : GivenSheets::shortfalls($site, $materials);
        $all = [...$shortfalls, ...$this->ofSheets($site, $pages), ...$changed];
        $failed = Assessment::itemsIn($all);

        return Assessment::of($items, $all, ($items - $failed)." of $items pages and wishes", $this->expected());
    }

    private function expected(): string
    {
        return implode('; ', array_filter([$this->inOrder(), ...$this->wishes()], fn (string $part) => $part !== ''));
    }

    /** @return list<string> what is asked for besides the links, in words */
    private function wishes(): array
    {
        $inPages = [self::wish($this->inline, '`style` attributes'), self::wish($this->embedded, '`style` elements')];

        return array_values(array_filter([
            $this->uses === []
                ? null
                : 'the stylesheets hold '.English::names(array_map(fn (StyleUse $use) => $use->written, $this->uses)),
            $this->leastRules === 0 ? null : 'the stylesheets hold at least '.English::count($this->leastRules, 'rule'),
            $this->leastClasses === 0
                ? null
                : 'their selectors name at least '.English::count($this->leastClasses, 'class', 'classes'),
            $this->leastIds === 0 ? null : 'their selectors name at least '.English::count($this->leastIds, 'id'),
            ...$inPages,
            $this->areGiven ? 'the given stylesheets are as they were given' : null,
        ]));
    }

    private static function wish(?string $wish, string $what): ?string
    {
        return match ($wish) {
            'refused' => "no page has $what",
            'wanted' => "every page has $what",
            default => null,
        };

    }

    /** @return list<Shortfall> */
    private function inPage(Page $page): array
    {
        $shortfalls = [];
        foreach (['inline' => $this->inline, 'embedded' => $this->embedded] as $variant => $wish) {
            $found = array_values(array_filter(
                $page->styles,
                fn (PageStyle $style) => ($style->attribute !== null) === ($variant === 'inline'),
            ));
            if ($wish === 'refused' && $found !== []) {
                $shortfalls[] = self::refused($page, $found, $variant);
            } elseif ($wish === 'wanted' && $found === []) {
                $shortfalls[] = self::without($page, $variant);
            }
        }

        return $shortfalls;
    }

    private static function without(Page $page, string $variant): Shortfall
    {
        $what = $variant === 'inline' ? '`style` attribute' : '`<style>` element';

        return Shortfall::of(
            Draft::onPage(
                $page,
                $variant === 'inline' ? $page->bodyPlace() : $page->headPlace(),
                "not-$variant",
            )
                ->variant("not-$variant")
                ->mark(ProofMark::Insert)
                ->says("This page has no $what; the brief asks for one.")
                ->remedy($variant === 'inline'
                    ? 'Type `style="…"` in the tag of an element.'
                    : 'Type `<style>` and its rules inside `<head>`.'),
        );
    }

    /** @param  non-empty-list<PageStyle>  $found */
    private static function refused(Page $page, array $found, string $variant): Shortfall
    {
        $place = fn (PageStyle $style) => $style->attribute?->span() ?? $style->element->place();
        $more = count($found) - 1;
        $isInline = $variant === 'inline';
        $what = $isInline ? 'a `style` attribute' : 'a `<style>` element';
        $draft = Draft::onPage($page, $place($found[0]), $variant)
            ->variant($variant)
            ->mark(ProofMark::Move)
            ->says("This page has $what; the brief asks for all styles in a stylesheet."
                .($more > 0 ? ' There '.($more === 1 ? 'is 1 more.' : "are $more more.") : ''))
            ->remedy('Move it into the stylesheet, as a rule of its own.')
            ->related(...array_map(
                fn (PageStyle $style) => new Related($page->file, $place($style), 'the same here'),
                array_slice($found, 1, self::MAX_RELATED),
            ))
            ->about(Subject::element($page->path(), $found[0]->element));
        $slip = fn (PageStyle $style) => SlipName::attribute($page, $style->element, 'style');

        return Shortfall::of($draft)->slips(...($isInline ? array_map($slip, $found) : []));
    }

    /**
     * @param  list<Page>  $pages
     * @return list<Shortfall> of what the sheets hold
     */
    private function ofSheets(ParsedSite $site, array $pages): array
    {
        if ($this->uses === [] && max($this->leastRules, $this->leastClasses, $this->leastIds) === 0) {
            return [];
        }
        $styles = $site->fact(SiteStyles::class);
        $rules = [];
        foreach ($pages as $page) {
            foreach ($styles->rulesOf($page) as $rule) {
                $rules[spl_object_id($rule)] = $rule;
            }
        }
        $shortfalls = [];
        foreach ($this->uses as $use) {
            if (! $use->isIn(array_values($rules))) {
                $shortfalls[] = $this->notHeld(
                    $site,
                    'use',
                    "The stylesheets have no `$use->written`; the brief asks for it.",
                    $use->remedy(),
                    $use->written,
                );
            }
        }
        $count = count($rules);
        if ($count < $this->leastRules) {
            $shortfalls[] = $this->notHeld(
                $site,
                'few-rules',
                'The stylesheets have '.English::count($count, 'rule')
                    ."; the brief asks for at least $this->leastRules.",
                'Write '.($this->leastRules - $count).' more.',
                'rules',
            );
        }
        $asked = [
            [ClassSelector::class, $this->leastClasses, 'class', 'classes', '.note'],
            [IdSelector::class, $this->leastIds, 'id', 'ids', '#nav'],
        ];
        foreach ($asked as [$kind, $least, $one, $many, $example]) {
            $named = self::countNames(array_values($rules), $kind);
            if ($named < $least) {
                $shortfalls[] = $this->notHeld(
                    $site,
                    "few-$many",
                    'The selectors name '.English::count($named, $one, $many)."; the brief asks for at least $least.",
                    'Write a rule for '.English::count($least - $named, "more $one", "more $many")
                        .", such as `$example { … }`.",
                    $many,
                );
            }
        }

        return $shortfalls;
    }

    /**
     * @param  list<StyleRule>  $rules
     * @param  class-string<ClassSelector|IdSelector>  $kind
     * @return int how many different names of a kind their selectors have
     */
    private static function countNames(array $rules, string $kind): int
    {
        $names = [];
        foreach (array_merge(...array_map(RuleReach::partsOf(...), $rules)) as $part) {
            if ($part instanceof $kind) {
                $names["name $part->name"] = true;
            }
        }

        return count($names);
    }

    private function notHeld(
        ParsedSite $site,
        string $variant,
        string $message,
        string $remedy,
        string $about,
    ): Shortfall {
        $last = $this->sheets === [] ? '' : $this->sheets[count($this->sheets) - 1];
        $sheet = $site->sheets[$last] ?? array_values($site->sheets)[0] ?? null;
        $home = array_values($site->pages)[0] ?? null;
        $file = $sheet->file ?? $home?->file;

        return Shortfall::of(
            Draft::in($file->path ?? 'index.html', $file, Span::at(0), "wish:$about")
                ->variant($variant)
                ->mark(ProofMark::Insert)
                ->says($message)
                ->remedy($remedy),
        )->item("wish $about");
    }

    private function inOrder(): string
    {
        return implode(', then ', array_map(fn (string $sheet) => "`$sheet`", $this->sheets));
    }

    /**
     * @param  list<string>  $sheets
     * @return list<string> those of the sheets that a page does not link
     */
    private static function missingOn(Page $page, array $sheets): array
    {
        $linked = array_map(fn (Reference $reference) => $reference->target->found, $page->stylesheets());

        return array_values(array_diff($sheets, $linked));
    }

    /** The line that links a sheet, as it is typed on a page. */
    public static function line(Page $page, string $sheet): string
    {
        return '<link rel="stylesheet" href="'.RelativePath::between($page->path(), $sheet).'">';
    }

    /** Such lines typed at the end of the head; null when nothing ends it. */
    public static function mend(Page $page, string ...$lines): ?Mend
    {
        $headEnd = $page->document->first('head')?->endTag();

        return $headEnd === null
            ? null
            : Mend::of(Edit::insert($page->file, $headEnd->start, implode("\n", $lines)."\n"));
    }

    private static function missing(Page $page, string $sheet): Shortfall
    {
        $line = self::line($page, $sheet);

        return Shortfall::of(
            Draft::onPage($page, $page->headPlace(), "sheet:$sheet")
                ->variant('missing')
                ->mark(ProofMark::Insert)
                ->says("This page does not link the stylesheet `$sheet`; the brief asks for it.")
                ->remedy("Type `$line` inside `<head>`.")
                ->mend(self::mend($page, $line))
                ->about(Subject::page($page->path()).":$sheet")
                ->causedBy(Subject::file($sheet), ...self::brokenLinksTo($sheet, $page)),
        )->slips(SlipName::way($page->path(), $sheet));
    }

    /** @return list<string> the places of broken links that are meant for the sheet */
    private static function brokenLinksTo(string $sheet, Page $page): array
    {
        $places = [];
        foreach ($page->stylesheets() as $reference) {
            $isMeant = $reference->target->meant() === $sheet
                || basename((string) $reference->target->path) === basename($sheet);
            if ($reference->target->resolution->isBroken() && $isMeant) {
                $places[] = Subject::place($page->path(), $reference->span->start);
            }
        }

        return $places;
    }

    private function order(Page $page): ?Shortfall
    {
        $before = null;
        foreach ($page->stylesheets() as $reference) {
            $place = array_search($reference->target->found, $this->sheets, true);
            if ($place === false) {
                continue;
            }
            if ($before !== null && $place < $before[0]) {
                [, $earlier] = $before;

                return Shortfall::of(
                    Draft::onPage($page, $reference->element?->place() ?? $reference->span, 'sheet-order')
                        ->variant('order')
                        ->mark(ProofMark::Move)
                        ->says(
                            "`{$this->sheets[$place]}` is linked after `{$earlier}`; the brief asks for "
                                ."{$this->inOrder()}.",
                        )
                        ->remedy("Move this `<link>` above the one for `{$earlier}`.")
                        ->about(Subject::place($page->path(), $reference->span->start)),
                );
            }
            $before = [$place, $this->sheets[$place]];
        }

        return null;
    }
}

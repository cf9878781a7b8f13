<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\LostTag;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TableSize;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Style\Selector\SelectorList;

/** A table of so many rows and columns, on each page. */
final readonly class Table extends Requirement implements NamesThings, SpeaksForItself
{
    /**
     * @param  int|null  $rows  with the head of the table; null for any number
     * @param  int|null  $columns  null for any number
     */
    public function __construct(
        Terms $terms,
        private SelectorList $selector,
        private ?int $rows,
        private ?int $columns,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'table';
    }

    public static function about(): string
    {
        return 'A table of so many rows and columns.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/table',
            'Wrong table size',
            Weight::Departure,
            ProofMark::Change,
            'A table has more or fewer rows or columns than the brief asks for.',
            'Each row is about one thing, and each column says the same about all of them. If one is '
                .'missing, so is what readers look for.',
            Citation::brief(),
            ['markup/stray-end-tag'],
        );
    }

    public static function fields(): array
    {
        return [
            Field::wholeNumber('rows', 'how many rows it has, the head included', 1),
            Field::wholeNumber('columns', 'how many columns it has; a cell with `colspan` counts as often as it spans', 1),
            Field::text('selector', 'which tables count, as a CSS selector; `table` when it is left out'),
        ];
    }

    public static function variants(): array
    {
        return array_fill_keys(['missing', 'size'], 'brief/table');
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $table = new self(
            $terms,
            $fields->has('selector') ? $fields->selector('selector') : SelectorList::parse('table'),
            $fields->wholeNumber('rows'),
            $fields->wholeNumber('columns'),
        );
        if (! $fields->says('rows', 'columns')) {
            $fields->problem('rows', 'one of rows and columns is needed');
        }

        return $table;
    }

    public function sentence(): string
    {
        return "{$this->terms->pages->sentence()} has a table with {$this->wanted()}.";
    }

    public function named(string $what): array
    {
        return $what === 'element' ? ['table', 'tr', 'td', 'th', ...$this->selector->elementNames()] : [];
    }

    public function assess(ParsedSite $site): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $shortfalls = array_values(array_filter(array_map($this->shortfallOn(...), $pages)));

        return Assessment::ofPages(count($pages), $shortfalls, $this->expectation());
    }

    private function shortfallOn(Page $page): ?Shortfall
    {
        $isTable = fn (Element $one) => $one->name === 'table';
        $nearest = null;
        foreach (array_filter($this->selector->all($page->document), $isTable) as $table) {
            $size = TableSize::of($table);
            if ($this->distance($size) === 0) {
                return null;
            }
            if ($nearest === null || $this->distance($size) < $this->distance(TableSize::of($nearest))) {
                $nearest = $table;
            }
        }

        return $nearest === null ? $this->missing($page) : $this->wrongSize($page, $nearest, TableSize::of($nearest));
    }

    /** How many rows and columns a table has too many or too few. */
    private function distance(TableSize $size): int
    {
        return ($this->rows === null ? 0 : abs($size->rows - $this->rows))
            + ($this->columns === null ? 0 : abs($size->columns - $this->columns));
    }

    private function missing(Page $page): Shortfall
    {
        $shown = $this->selector->written;

        return Shortfall::of(
            Draft::onPage($page, $page->bodyPlace(), "table:{$this->terms->id}")
                ->variant('missing')
                ->mark(ProofMark::Insert)
                ->says("This page has no `$shown`; the brief asks for a table with {$this->wanted()}.")
                ->remedy("Add a `<table>` with {$this->wanted()}.")
                ->causedBy(...LostTag::of($page, $this->selector)),
        )->slips(...SlipName::lack($page, $shown));
    }

    private function wrongSize(Page $page, Element $table, TableSize $size): Shortfall
    {
        $steps = array_filter([
            $this->rows === null ? '' : self::step($this->rows - $size->rows, 'row'),
            $this->columns === null ? '' : self::step($this->columns - $size->columns, 'column'),
        ], fn (string $step) => $step !== '');
        $has = English::list(array_values(array_filter([
            $this->rows === null ? '' : English::count($size->rows, 'row'),
            $this->columns === null ? '' : English::count($size->columns, 'column'),
        ])));

        return Shortfall::of(
            Draft::onPage($page, $table->place(), "{$table->path()}#{$this->terms->id}:size")
                ->variant('size')
                ->mark(ProofMark::Change)
                ->says("This table has $has; the brief asks for {$this->wanted()}.")
                ->remedy(ucfirst(English::list(array_values($steps))).'.')
                ->about(Subject::element($page->path(), $table)),
        );
    }

    /** @param  int  $missing  below 0 for what is too much */
    private static function step(int $missing, string $what): string
    {
        return match (true) {
            $missing > 0 => 'add '.English::count($missing, $what),
            $missing < 0 => 'remove '.English::count(-$missing, $what),
            default => '',
        };
    }

    private function wanted(): string
    {
        return English::list(array_values(array_filter([
            $this->rows === null ? '' : English::count($this->rows, 'row'),
            $this->columns === null ? '' : English::count($this->columns, 'column'),
        ])));
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Assessment;
use InkedMargin\Core\Brief\Field;
use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\NamesThings;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Shortfall;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\RelativePath;

/** The stylesheets every page links, in their order. */
final readonly class Stylesheets extends Requirement implements NamesThings
{
    /** @param  list<string>  $sheets  paths from the site's root */
    public function __construct(Terms $terms, public array $sheets)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'stylesheets';
    }

    public static function about(): string
    {
        return 'The stylesheets that every page links, in order.';
    }

    public static function fields(): array
    {
        return [Field::texts('sheets', 'paths from the root of the site, in the order of their links', true)];
    }

    public static function variants(): array
    {
        return ['missing', 'order'];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        return new self($terms, $fields->texts('sheets'));
    }

    public function sentence(): string
    {
        return "{$this->terms->pages->sentence()} links {$this->inOrder()}.";
    }

    public function named(string $what): array
    {
        return $what === 'path'
            ? array_merge(...array_map(fn (string $sheet) => explode('/', $sheet), $this->sheets))
            : [];
    }

    public function assess(ParsedSite $site): Assessment
    {
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

        return Assessment::ofPages(count($pages), $shortfalls, $this->inOrder());
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
        $causes = [Subject::file($sheet)];
        foreach ($page->stylesheets() as $reference) {
            $isMeant = $reference->target->meant() === $sheet
                || basename((string) $reference->target->path) === basename($sheet);
            if ($reference->target->resolution->isBroken() && $isMeant) {
                $causes[] = Subject::place($page->path(), $reference->span->start);
            }
        }

        return Shortfall::onPage(
            $page,
            'missing',
            ProofMark::Insert,
            $page->headPlace(),
            "This page does not link the stylesheet `$sheet`; the brief asks for it.",
            "Type `$line` inside `<head>`.",
            "sheet:$sheet",
            mend: self::mend($page, $line),
            subjects: [Subject::page($page->path()).":$sheet"],
            causes: $causes,
        );
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

                return Shortfall::onPage(
                    $page,
                    'order',
                    ProofMark::Move,
                    $reference->element?->place() ?? $reference->span,
                    "`{$this->sheets[$place]}` is linked after `{$earlier}`; the brief asks for {$this->inOrder()}.",
                    "Move this `<link>` above the one for `{$earlier}`.",
                    'sheet-order',
                    subjects: [Subject::place($page->path(), $reference->span->start)],
                );
            }
            $before = [$place, $this->sheets[$place]];
        }

        return null;
    }
}

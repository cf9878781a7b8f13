<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Markup\Indent;
use InkedMargin\Core\Markup\IndentSlip;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;

/** Markup is indented by one step a level. */
final readonly class Indentation extends Requirement
{
    /** @param  int|null  $step  columns; null when any step will do that a page keeps to */
    public function __construct(Terms $terms, public ?int $step)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'indentation';
    }

    public static function about(): string
    {
        return 'Nested tags are indented, by one step a level.';
    }

    public static function fields(): array
    {
        return [Field::wholeNumber('step', 'columns a level; any regular step when it is left out', 1, 16)];
    }

    public static function variants(): array
    {
        return [
            'indented' => 'markup/indentation',
        ];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        return new self($terms, $fields->wholeNumber('step'));
    }

    public function sentence(): string
    {
        $how = $this->step === null ? 'regularly' : 'by '.English::count($this->step, 'space').' a level';

        return "{$this->terms->pages->sentence()} is indented $how.";
    }

    public function assess(ParsedSite $site): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $shortfalls = [];
        foreach ($pages as $page) {
            $slips = Indent::slips($page->elements, $page->pairs, $page->file, $this->step);
            if ($slips !== []) {
                $shortfalls[] = Shortfall::of(
                    Draft::onPage($page, $slips[0]->span, "{$slips[0]->element->path()}#indent")
                        ->variant('indented')
                        ->mark(ProofMark::Move)
                        ->says($slips[0]->message.Indent::more(count($slips) - 1))
                        ->remedy(Indent::remedy($this->step))
                        ->about(Subject::element($page->path(), $slips[0]->element)),
                )->following(self::lostParts($page, $slips));
            }
        }

        return Assessment::ofPages(count($pages), $shortfalls, $this->expectation());
    }

    /**
     * Without the tags of a part, what was in it stands right in `body`, and still in its old column.
     *
     * @param  list<IndentSlip>  $slips
     * @return list<string>
     */
    private static function lostParts(Page $page, array $slips): array
    {
        if (array_filter($slips, fn (IndentSlip $one) => ! $one->isInBody) !== []) {
            return [];
        }

        return array_merge(...array_map(
            fn (PartKind $part) => SlipName::lack($page, $part->value),
            PartKind::cases(),
        ));
    }
}

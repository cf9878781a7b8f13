<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

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
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\Difference;
use InkedMargin\Core\Source\English;

/**
 * The pages have the parts, headings, lists and tables of the model answer, one in the other and in its order. What
 * they say, and how they are written, does not matter.
 */
final readonly class Model extends Requirement implements NeedsMaterials, SpeaksForItself
{
    private const TOLD = [
        'header', 'nav', 'main', 'footer', 'section', 'article', 'aside', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'ul',
        'ol', 'dl',
        'table', 'caption', 'thead', 'tbody', 'tfoot', 'figure', 'figcaption', 'form', 'fieldset', 'blockquote', 'img',
        'video',
        'audio', 'iframe', 'details',
    ];

    /** @param  list<string>  $elements  names of those that are compared */
    public function __construct(Terms $terms, private array $elements)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'model';
    }

    public static function about(): string
    {
        return 'The pages are built as those of the model answer, whatever they say.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/model',
            'Different from the model',
            Weight::Departure,
            ProofMark::Change,
            'A page is not built as that of the model answer.',
            'The model answer shows how the page is built. If a part is missing or in another order, '
                .'styles and scripts may not work on your page.',
            Citation::brief(),
        );
    }

    public static function fields(): array
    {
        return [Field::texts(
            'elements',
            'the elements that are compared; parts, headings, lists, tables, figures and forms when they are left out',
        )];
    }

    public static function variants(): array
    {
        return array_fill_keys(['missing', 'extra', 'moved'], 'brief/model');
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $elements = array_map(strtolower(...), $fields->texts('elements'));

        return new self($terms, $elements === [] ? self::TOLD : $elements);
    }

    public function sentence(): string
    {
        $what = $this->elements === self::TOLD ? '' : ' of its '.English::names($this->elements);

        return "{$this->terms->pages->sentence()} is built as the model answer is{$what}.";
    }

    public function pagesNeeded(Materials $materials): array
    {
        $model = $materials->parsedModel();

        return $model === null ? [] : $this->terms->pages->pathsIn($model);
    }

    public function assess(ParsedSite $site): Assessment
    {
        return $this->assessAgainst($site, Materials::none());
    }

    public function assessAgainst(ParsedSite $site, Materials $materials): Assessment
    {
        $model = $materials->parsedModel();
        if ($model === null) {
            return Assessment::notJudged('there is no model answer', $this->expectation());
        }
        $pages = $this->terms->pages->of($model);
        $elements = $good = $there = 0;
        $shortfalls = [];
        foreach ($pages as $wanted) {
            $outline = $this->outline($wanted);
            $page = $site->pageFor($wanted->path());
            $elements += count($outline);
            if ($page !== null) {
                $found = $this->differences($page, $outline);
                $there++;
                $good += max(0, count($outline) - count($found));
                array_push($shortfalls, ...$found);
            }
        }

        return Assessment::of(
            $there,
            $shortfalls,
            $pages === [] ? 'no such page in the model answer' : "$good of $elements elements of the model answer",
            $this->expectation(),
        );
    }

    /** @return list<array{string, Element}> the way down to each, such as `main > section > h2`, and itself */
    private function outline(Page $page): array
    {
        $ways = [];
        $outline = [];
        foreach ($page->elements as $element) {
            $above = $element->parent === null ? '' : $ways[spl_object_id($element->parent)] ?? '';
            $name = $this->nameOf($element);
            $ways[spl_object_id($element)] = $name === null ? $above : ($above === '' ? $name : "$above > $name");
            if ($name !== null) {
                $outline[] = [$ways[spl_object_id($element)], $element];
            }
        }

        return $outline;
    }

    /** Null where it is not compared: a box without a name is nobody's plan. */
    private function nameOf(Element $element): ?string
    {
        $id = $element->value('id') ?? '';
        if ($element->name === 'div' && $id !== '' && $this->elements === self::TOLD) {
            return "div#$id";
        }

        return in_array($element->name, $this->elements, true) ? $element->name : null;
    }

    /**
     * @param  list<array{string, Element}>  $wanted
     * @return list<Shortfall>
     */
    private function differences(Page $page, array $wanted): array
    {
        $written = $this->outline($page);
        $missing = $extra = [];
        foreach (Difference::between(array_column($wanted, 0), array_column($written, 0)) as $stretch) {
            for ($at = $stretch->from; $at < $stretch->until; $at++) {
                $missing[$at] = $stretch->start;
            }
            for ($at = $stretch->start; $at < $stretch->end; $at++) {
                $extra[$at] = true;
            }
        }
        // A page with something wrong in as many places as it should have elements has lost all of it.
        $cost = 1 / max(1, count($wanted));
        $found = [];
        foreach ($missing as $at => $before) {
            $way = $wanted[$at][0];
            $moved = array_values(
                array_filter(array_keys($extra), fn (int $one) => $written[$one][0] === $way),
            )[0] ?? null;
            if ($moved === null) {
                $found[] = $this->missing($page, $way, $written[$before - 1][1] ?? null, $at, $cost);

                continue;
            }
            unset($extra[$moved]);
            $last = $wanted[$at - 1][0] ?? null;
            $found[] = $this->at(
                $page,
                $written[$moved][1],
                'moved',
                ProofMark::Move,
                "`$way` stands in another place than in the model answer"
                    .($last === null ? ', where it comes first.' : ", where it comes after `$last`."),
                $last === null ? 'Move it to the beginning.' : "Move it behind `$last`.",
                $cost,
            );
        }
        foreach (array_keys($extra) as $at) {
            $found[] = $this->at(
                $page,
                $written[$at][1],
                'extra',
                ProofMark::TakeOut,
                "The model answer has no `{$written[$at][0]}` here.",
                'Remove it, or say it in what is there.',
                $cost,
            );
        }

        return $found;
    }

    private function missing(Page $page, string $way, ?Element $before, int $at, float $cost): Shortfall
    {
        $name = substr($way, (int) strrpos(" $way", ' '));
        $inside = substr($way, 0, max(0, strlen($way) - strlen($name) - 3));

        return Shortfall::of(
            Draft::onPage($page, $before?->place() ?? $page->bodyPlace(), "model:$way:$at")
                ->variant('missing')
                ->mark(ProofMark::Insert)
                ->says(
                    "The model answer has `$name` here".($inside === '' ? '' : ", inside `$inside`").', and '
                        .'this page has not.',
                )
                ->remedy("Add `<$name>`".($inside === '' ? '.' : " inside `$inside`.")),
        )->costing($cost);
    }

    private function at(
        Page $page,
        Element $element,
        string $variant,
        ProofMark $mark,
        string $message,
        string $remedy,
        float $cost,
    ): Shortfall {
        return Shortfall::of(
            Draft::onPage($page, $element->place(), "{$element->path()}#model")
                ->variant($variant)
                ->mark($mark)
                ->says($message)
                ->remedy($remedy)
                ->about(Subject::element($page->path(), $element)),
        )->costing($cost);
    }
}

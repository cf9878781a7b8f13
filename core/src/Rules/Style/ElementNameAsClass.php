<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Styles\MarkupNames;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Style\Cascade\StyleRule;

/**
 * A class or id that is called like an element, which is easily mixed up with it. A part of the page, such as a div
 * with the id `header`, is called so with reason. Common practice.
 */
final readonly class ElementNameAsClass extends Rule implements ComparesFiles
{
    private const MAX_RELATED = 6;

    /** Words that say what something is, and are elements by chance. */
    private const PLAIN = [
        'title', 'map', 'col', 'meta', 'blockquote', 'menu', 'time', 'data', 'main', 'header', 'footer', 'nav',
        'section', 'article', 'aside', 'content', 'form', 'search', 'button',
        'label', 'picture', 'audio', 'video', 'summary', 'details', 'dialog', 'output', 'link', 'center', 'big',
        'small', 'image', 'figure', 'table', 'caption',
        'legend', 'code', 'address', 'mark', 'progress', 'meter', 'object', 'source', 'track', 'slot', 'template',
        'base', 'area', 'select', 'option', 'input', 'font', 'style',
    ];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/element-name-as-class',
            'Tag name as class',
            Weight::Tidy,
            ProofMark::Change,
            'A class or id with the name of an element.',
            '`nav { … }` styles every `<nav>`, and `.nav { … }` only elements of that class. With the '
                .'same name for both, they are easily mixed up.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        $elements = ElementTable::load();
        $names = $exam->site->fact(MarkupNames::class);
        $reach = $exam->site->fact(RuleReach::class);
        $spoken = $reach->names();
        $wanted = implode("\n", array_map(fn ($one) => $one->sentence(), $exam->brief->requirements));
        foreach ($names->names() as $name) {
            $value = substr($name, 1);
            [$page, $element] = $names->placesOf($name)[0];
            $isPlain = strlen($value) < 2 || in_array($value, self::PLAIN, true) || PartKind::of($element) !== null;
            if (! $isPlain
                && in_array($value, $elements->current(), true)
                && $element->isWritten()
                && ! str_contains($wanted, "$name`")
                && ! self::isOfFramework($spoken[$name] ?? [], $reach)) {
                yield self::draft($page, $element, $name, $value, array_slice($names->placesOf($name), 1));
            }
        }
    }

    /** @param  list<array{Page, Element}>  $others */
    private static function draft(
        Page $page,
        Element $element,
        string $name,
        string $value,
        array $others,
    ): Draft {
        $attribute = $name[0] === '#' ? 'id' : 'class';

        return Draft::at($page, $element)
            ->span($element->attribute($attribute)?->span())
            ->anchored("@$attribute:$value")
            ->says(
                "`$attribute=\"$value\"` has the name of an element, so `$name` and `$value` are easily "
                    .'mixed up in '
                    .'the stylesheet.',
            )
            ->remedy('Choose a name that says what it is for, such as `intro`.')
            ->related(...array_map(
                fn (array $place) => new Related($place[0]->file, $place[1]->place(), 'here too'),
                array_slice($others, 0, self::MAX_RELATED),
            ))
            ->about("name:$name");
    }

    /** @param  list<StyleRule>  $rules  for the name */
    private static function isOfFramework(array $rules, RuleReach $reach): bool
    {
        return array_filter($rules, fn (StyleRule $rule) => $reach->isGeneral($rule->sheet)) !== [];
    }
}

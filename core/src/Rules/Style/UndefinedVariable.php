<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Styles\CustomProperties;
use InkedMargin\Core\Site\Styles\OtherStyles;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\TextMap;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Value\VariableUse;

/** A `var()` whose custom property nothing sets on the elements that use it. */
final readonly class UndefinedVariable extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/undefined-variable',
            'Undefined variable',
            Weight::Fault,
            ProofMark::Change,
            'A custom property that a rule uses with `var()`, and that is not set on the elements of that rule.',
            'Without a value for the variable, the whole declaration is lost, and the element looks as if it had '
                .'not been written.',
            Citation::css('CSS Variables 1', '3 Using Cascading Variables', 'css-variables-1/#using-variables'),
            ['style/unknown-property', 'style/at-rule', 'style/syntax'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $reach = $exam->site->fact(RuleReach::class);
        $set = $exam->site->fact(CustomProperties::class);
        $others = $exam->site->fact(OtherStyles::class);
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            /** @var TextMap<true> $told */
            $told = new TextMap;
            foreach ($reach->isGeneral($source->path()) ? [] : $source->rules() as $rule) {
                foreach (self::usesIn($rule) as $use) {
                    $lacking = $told->has($use->name) || $others->mayKnow($use->name)
                        ? null
                        : self::lacking($use->name, $reach->elements($rule), $set);
                    if ($lacking !== null) {
                        $told->put($use->name, true);
                        yield self::draft($source, $use, $lacking, $set);
                    }
                }
            }
        }
    }

    /** @return list<VariableUse> */
    private static function usesIn(StyleRule $rule): array
    {
        return array_merge(...array_map(VariableUse::allIn(...), $rule->declarations));
    }

    /**
     * @param  list<array{Page, Element}>  $places  where the rule applies
     * @return Element|null the first that has no such property; null where one has it, or nothing is reached
     */
    private static function lacking(string $name, array $places, CustomProperties $set): ?Element
    {
        foreach ($set->isSetAnywhere($name) ? $places : [] as [, $element]) {
            if ($set->isSetOn($element, $name)) {
                return null;
            }
        }

        return $places[0][1] ?? null;
    }

    private static function draft(StyleSource $source, VariableUse $use, Element $element, CustomProperties $set): Draft
    {
        $isElsewhere = in_array($use->name, $set->names(), true);
        $near = fn (string $name) => $name !== $use->name && $set->isSetOn($element, $name);
        $meant = NearestName::of($use->name, array_filter($set->names(), $near));
        $message = $isElsewhere
            ? "`{$use->name}` is not set on `<{$element->name}>` or around it, so browsers skip this declaration."
            : "Nothing sets `{$use->name}`, so browsers skip this declaration.";

        return Draft::inCss($source, $use->span, "variable:{$use->name}")
            ->says($message)
            ->remedy(match (true) {
                $meant !== null => "Type `$meant`.",
                $isElsewhere => "Set `{$use->name}` in a rule for `:root`, so that all elements have it.",
                default => "Set it first, such as `:root { {$use->name}: …; }`, or check its spelling.",
            })
            ->mend(Mend::replacing($source->file, $use->span, $meant))
            ->folded("variable {$use->name}");
    }
}

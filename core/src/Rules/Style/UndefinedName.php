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
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Styles\Declarations;
use InkedMargin\Core\Site\Styles\OtherStyles;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Style\Syntax\AtRuleNode;
use InkedMargin\Core\Style\Syntax\SyntaxRule;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\NamedByStyle;

/** An animation without its `@keyframes`, and a grid area that no template names. */
final readonly class UndefinedName extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/undefined-name',
            'Undefined name',
            Weight::Departure,
            ProofMark::Change,
            'An animation or a grid area that a rule uses, and that nothing in the stylesheets defines.',
            'Browsers look for the name and find none: the animation never runs, or the element lands in a row of '
                .'its own.',
            Citation::css('CSS Animations 1', '4.2 The animation-name property', 'css-animations-1/#animation-name'),
            ['style/at-rule', 'style/syntax', 'style/invalid-value'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $animations = self::animations($exam->site);
        $areas = self::areas($exam->site);
        $others = $exam->site->fact(OtherStyles::class);
        $reach = $exam->site->fact(RuleReach::class);
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            $isGeneral = $reach->isGeneral($source->path());
            foreach ($isGeneral ? [] : Declarations::ofPages($source->css->content) as $declaration) {
                foreach (NamedByStyle::animations($declaration) as $item) {
                    if (! self::isIn($item, $animations) && ! $others->mayKnow(self::nameOf($item))) {
                        yield self::animation($source, $item, $animations);
                    }
                }
                $area = NamedByStyle::area($declaration);
                if ($area !== null && ! self::isIn($area, $areas) && ! $others->mayKnow(self::nameOf($area))) {
                    yield self::area($source, $area, $areas);
                }
            }
        }
    }

    /** As it was written: names keep their letter case. */
    private static function nameOf(Item $item): string
    {
        return $item->tokens->text($item->token);
    }

    /** @param  list<string>  $names */
    private static function isIn(Item $item, array $names): bool
    {
        // Keyframes without a name may be anybody's: that they have none is told.
        return in_array(self::nameOf($item), $names, true) || in_array('', $names, true);
    }

    /** @param  list<string>  $known */
    private static function animation(StyleSource $source, Item $item, array $known): Draft
    {
        $name = self::nameOf($item);

        return self::draft('animation', $source, $item, NearestName::of($name, $known))
            ->says("There are no `@keyframes $name`, so this animation never runs.");
    }

    /** @param  list<string>  $known */
    private static function area(StyleSource $source, Item $item, array $known): Draft
    {
        $name = self::nameOf($item);

        return self::draft('area', $source, $item, NearestName::of($name, $known))
            ->says("No `grid-template-areas` names `$name`, so the element is put where there is room.");
    }

    private static function draft(string $variant, StyleSource $source, Item $item, ?string $meant): Draft
    {
        $name = self::nameOf($item);
        $span = $item->tokens->span($item->token, $item->token);
        $missing = $variant === 'animation'
            ? "Write `@keyframes $name { … }`, or check the name."
            : "Name `$name` in `grid-template-areas`, or check the name.";

        return Draft::inCss($source, $span, "$variant:$name")
            ->variant($variant)
            ->remedy($meant === null ? $missing : "Type `$meant`.")
            ->mend(Mend::replacing($source->file, $span, $meant))
            ->folded("$variant $name");
    }

    /** @return list<string> also those of `@keyframes` that are misspelt: that is told there */
    private static function animations(ParsedSite $site): array
    {
        $names = [];
        foreach ($site->fact(StyleSources::class)->all as $source) {
            array_push($names, ...self::keyframesIn($source->css->rules()));
        }

        return $names;
    }

    /**
     * @param  list<SyntaxRule>  $rules
     * @return list<string>
     */
    private static function keyframesIn(array $rules): array
    {
        $names = [];
        foreach ($rules as $rule) {
            if ($rule instanceof AtRuleNode && preg_match('/key-?fr?am/', $rule->name()) === 1) {
                $names[] = $rule->prelude() === '' ? '' : $rule->tokens->text($rule->preludeFrom);
            } else {
                array_push($names, ...self::keyframesIn($rule->rules()));
            }
        }

        return $names;
    }

    /** @return list<string> */
    private static function areas(ParsedSite $site): array
    {
        $names = [];
        foreach ($site->fact(StyleSources::class)->all as $source) {
            foreach ($source->css->declarations() as $declaration) {
                array_push($names, ...NamedByStyle::areasOf($declaration));
            }
        }

        return array_values(array_unique($names));
    }
}

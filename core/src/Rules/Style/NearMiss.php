<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Styles\MarkupNames;
use InkedMargin\Core\Site\Styles\MissedName;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Site\Styles\UnusedNames;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Selector\ClassSelector;
use InkedMargin\Core\Style\Syntax\Escape;

/** A class or id in a stylesheet that no page has, where the pages have one that is nearly it. Common practice. */
final readonly class NearMiss extends Rule implements ComparesFiles
{
    private const MAX_RELATED = 6;

    /** So many classes that begin alike are a family, of which pages use a few. */
    private const FAMILY = 6;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/near-miss',
            'Mismatched class or id',
            Weight::Fault,
            ProofMark::Change,
            'A selector misses a class or id of the pages by a little.',
            'A rule reaches only elements with exactly its name: `.` is for classes, `#` is for ids, '
                .'and capitals count. A near miss styles nothing.',
            Citation::css('Selectors Level 4', 'Class Selectors', 'selectors-4/#class-html'),
            ['style/syntax', 'markup/unknown-attribute', 'markup/bad-attribute-value'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $reach = $exam->site->fact(RuleReach::class);
        $names = $exam->site->fact(MarkupNames::class);
        $unused = $exam->site->fact(UnusedNames::class)->names;
        $linked = array_flip(array_map(fn (StyleRule $rule) => $rule->sheet, $reach->rules));
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            if ($reach->isGeneral($source->path()) || ! isset($linked[$source->path()])) {
                continue;
            }
            $told = [];
            $families = self::families($source);
            foreach ($source->rules() as $rule) {
                foreach ($names->missedBy($rule, $reach) as $missed) {
                    $isSure = self::isSure($missed, $families, $unused);
                    if ($isSure && ! isset($told["$missed->written $missed->meant"])) {
                        $told["$missed->written $missed->meant"] = true;
                        yield $this->missed($source, $rule, $missed, $names);
                    }
                }
            }
        }
    }

    /** @return array<string, int> how many classes begin alike, up to their last hyphen, as those of a framework do */
    private static function families(StyleSource $source): array
    {
        $names = [];
        foreach ($source->rules() as $rule) {
            foreach (RuleReach::partsOf($rule) as $part) {
                if ($part instanceof ClassSelector) {
                    $names[".$part->name"] = self::familyOf(".$part->name");
                }
            }
        }

        return array_count_values($names);
    }

    private static function familyOf(string $name): string
    {
        return substr($name, 0, (int) strrpos($name, '-'));
    }

    /**
     * A fault wants strong evidence: nothing else uses the name that is meant, and the two are not two of many.
     *
     * @param  array<string, int>  $families
     * @param  list<string>  $unused  names of the pages that no rule and no link uses
     */
    private static function isSure(MissedName $missed, array $families, array $unused): bool
    {
        if ($missed->slip === 'kind') {
            // An id that a link leads to is there for the link.
            return $missed->meant[0] === '.' || in_array($missed->meant, $unused, true);
        }
        $withoutDigits = fn (string $name) => preg_replace('/\d+/', '', $name);
        $family = self::familyOf($missed->written);
        $isOneOfMany = $family !== '' && ($families[$family] ?? 0) >= self::FAMILY;

        return $missed->slip !== 'spelling'
            || (! $isOneOfMany && $withoutDigits($missed->written) !== $withoutDigits($missed->meant));
    }

    private function missed(StyleSource $source, StyleRule $rule, MissedName $missed, MarkupNames $names): Draft
    {
        [$written, $variant, $meant] = [$missed->written, $missed->slip, $missed->meant];
        $prelude = $rule->written->preludeSpan();
        $at = strpos($rule->written->prelude(), $written);
        $span = $at === false
            ? $prelude
            : new Span($prelude->start + $at, $prelude->start + $at + strlen($written));
        $places = $names->placesOf($variant === 'space' ? '.'.explode(' ', $meant)[0] : $meant);
        $attribute = str_starts_with($meant, '#') ? 'id' : 'class';
        $name = $variant === 'space' ? $meant : substr($meant, 1);
        $typed = $meant[0].Escape::name(substr($meant, 1));
        $both = $variant === 'dot' ? self::classesOfOne($rule->written->prelude(), $written, $places) : null;
        if ($both !== null) {
            // `.tow path` for `class="tow path"`: two classes of one element have no space between them.
            $start = (int) strpos($rule->written->prelude(), $both);
            $span = new Span($prelude->start + $start, $prelude->start + $start + strlen($both));
            $typed = preg_replace('/\s+/', '.', $both) ?? $both;
        }
        $where = count($places) === 1 ? 'the page has' : count($places).' elements have';

        return Draft::inCss($source, $span, "missed:$written")
            ->variant($variant)
            ->says($both === null
                ? self::message($missed, count($places))
                : "`$both` looks for an element `$written`; `class=\"".trim(strtr($both, '.', ' '))
                    .'"` has two classes.')
            ->remedy($variant === 'space'
                ? 'Type `class="'.substr($written, 1).'"` on the page.'
                : "Type `$typed`.")
            ->related(...array_map(
                fn (array $place) => new Related($place[0]->file, $place[1]->place(), "`$attribute=\"$name\"`"),
                array_slice($places, 0, self::MAX_RELATED),
            ))
            ->mend($variant === 'space' || $at === false ? null : Mend::of(new Edit($source->file, $span, $typed)))
            ->causedBy(...self::badValues($name, $places))
            ->about(Subject::inCss($source, $prelude), "name:$written", "name:$meant", ...self::parts($variant, $meant))
            ->folded(English::excerpt("missed $written"));
    }

    /**
     * A class and the word after it, where all elements with a class of that word have both.
     *
     * @param  list<array{Page, Element}>  $places
     */
    private static function classesOfOne(string $prelude, string $written, array $places): ?string
    {
        if (preg_match('/\.([\w-]+)\s+'.preg_quote($written, '/').'(?![\w-])/', $prelude, $match) !== 1) {
            return null;
        }
        $hasBoth = fn (array $place) => in_array($match[1], $place[1]->classes(), true);

        return array_filter($places, $hasBoth) === $places ? $match[0] : null;
    }

    /**
     * A sign or a space that does not belong in a class or id is told on the page.
     *
     * @param  list<array{Page, Element}>  $places
     * @return list<string>
     */
    private static function badValues(string $name, array $places): array
    {
        return strpbrk($name, ".#\t\n ") === false
            ? []
            : array_map(fn (array $one) => Subject::element($one[0]->path(), $one[1]), $places);
    }

    private static function message(MissedName $missed, int $count): string
    {
        $meant = $missed->meant;
        $attribute = str_starts_with($meant, '#') ? 'id' : 'class';
        $name = $missed->slip === 'space' ? $meant : substr($meant, 1);
        $where = $count === 1 ? 'the page has' : "$count elements have";
        $written = $missed->written;

        return match ($missed->slip) {
            'space' => 'No element has the class `'.substr($written, 1)
                ."`. `class=\"$name\"` is two classes, because of the space.",
            'dot' => "`$written` selects an element of that name; $where `$attribute=\"$name\"`.",
            'case' => "No element has `$written`: $where `$attribute=\"$name\"`, and letter case counts.",
            default => "No element has `$written`; $where `$attribute=\"$name\"`.",
        };
    }

    /** @return list<string> */
    private static function parts(string $variant, string $meant): array
    {
        return $variant === 'space' ? array_map(fn (string $one) => "name:.$one", explode(' ', $meant)) : [];
    }
}

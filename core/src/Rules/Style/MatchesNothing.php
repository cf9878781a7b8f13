<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Styles\MarkupNames;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\Scripts;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Selector\ClassSelector;
use InkedMargin\Core\Style\Selector\IdSelector;
use InkedMargin\Core\Style\Selector\TypeSelector;

/**
 * A rule that reaches no element of any page. What a reset or a framework holds besides is left alone. Common practice.
 */
final readonly class MatchesNothing extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/matches-nothing',
            'Unused CSS rule',
            Weight::Tidy,
            ProofMark::Look,
            'A rule of a stylesheet that no page has an element for.',
            'The rule styles nothing. Often a name is misspelt, or the element that it was for is '
                .'gone.',
            Citation::practice(),
            [
                'style/near-miss', 'style/unknown-selector', 'style/syntax', 'style/missing-rel',
                'style/not-on-page', 'markup/bad-attribute-value', 'markup/unknown-element',
                'markup/unknown-attribute', 'markup/unclosed-element', 'link/missing-file',
                'link/letter-case', 'link/wrong-folder', 'link/outside-site', 'link/local-path',
            ],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $reach = $exam->site->fact(RuleReach::class);
        $names = $exam->site->fact(MarkupNames::class);
        $linked = array_flip(array_map(fn ($rule) => $rule->sheet, $reach->rules));
        $links = self::links($exam->site);
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            // A sheet that no page links is told as that, and what scripts make is not known here.
            if (
                $reach->isGeneral($source->path())
                || ! isset($linked[$source->path()])
                || Scripts::areOn($exam->site)
            ) {
                continue;
            }
            foreach ($source->rules() as $rule) {
                if (! self::isIdle($rule, $source, $reach) || $names->haveSpacedIdOf($rule)) {
                    continue;
                }
                $shown = English::excerpt($rule->written->prelude(), 50);
                yield Draft::inCss($source, $rule->written->preludeSpan(), "nothing:$shown")
                    ->says("`$shown` matches nothing on any page.")
                    ->remedy('Check its spelling, or remove the rule.')
                    ->causedBy(...$links, ...self::names($rule));
            }
        }
    }

    /** Whether the rule says something, can be read with certainty, and reaches no element */
    private static function isIdle(StyleRule $rule, StyleSource $source, RuleReach $reach): bool
    {
        return $rule->selector !== null
            && $rule->declarations !== []
            && $reach->elements($rule) === []
            && $source->isReliableAt($rule->written->span()->start);
    }

    /** @return list<string> the classes and ids that it speaks of: a slip in one of them is told where it is */
    private static function names(StyleRule $rule): array
    {
        $names = [];
        foreach (RuleReach::partsOf($rule) as $part) {
            if ($part instanceof ClassSelector) {
                $names[] = "name:.$part->name";
            } elseif ($part instanceof IdSelector) {
                $names[] = "name:#$part->name";
            } elseif ($part instanceof TypeSelector && $part->name !== null) {
                $names[] = "name:$part->name";
            }
        }

        return $names;
    }

    /** @return list<string> what is wrong with one of them may be why a page has no rules of the sheet */
    private static function links(ParsedSite $site): array
    {
        $causes = [];
        foreach ($site->pages as $page) {
            foreach ($page->named('link') as $link) {
                $causes[] = Subject::element($page->path(), $link);
            }
            foreach ($page->stylesheets() as $reference) {
                $causes[] = Subject::place($page->path(), $reference->span->start);
            }
        }

        return $causes;
    }
}

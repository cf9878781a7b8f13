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
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\Declarations;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Style\Cascade\Criterion;
use InkedMargin\Core\Style\Cascade\Defeat;
use InkedMargin\Core\Style\Syntax\Declaration;

/**
 * A declaration that another of the same stylesheet beats everywhere (CSS Cascade 5, section 6). What one sheet changes
 * of another is meant so, and so is a value for older browsers before a newer one.
 */
final readonly class Overridden extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/overridden',
            'Overridden declaration',
            Weight::Tidy,
            ProofMark::Look,
            'A declaration that another one of the same stylesheet always beats.',
            'Another line always wins, so this one does nothing. If you edit it later, you will wonder '
                .'why the page stays the same.',
            Citation::css(
                'CSS Cascading and Inheritance Level 4',
                'Cascade Sorting Order',
                'css-cascade-4/#cascade-sort',
            ),
        ));
    }

    public function check(Examination $exam): iterable
    {
        $reach = $exam->site->fact(RuleReach::class);
        $styles = $exam->site->fact(SiteStyles::class);
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            if ($source->isAttribute() || $reach->isGeneral($source->path())) {
                continue;
            }
            foreach (Declarations::ofPages($source->css->content) as $declaration) {
                $defeat = $this->defeatOf($declaration, $exam, $styles);
                $winner = $defeat?->winner->declaration;
                if ($defeat === null || $winner === null || $winner->tokens !== $declaration->tokens
                    || self::isFallback($declaration, $winner)) {
                    continue;
                }
                yield self::draft($source, $declaration, $winner, $defeat);
            }
        }
    }

    private static function draft(
        StyleSource $source,
        Declaration $declaration,
        Declaration $winner,
        Defeat $defeat,
    ): Draft {
        $shown = self::shown($declaration);

        return Draft::inCss($source, $declaration->span(), "overridden:$shown")
            ->says("`$shown` never shows: ".self::reason($defeat, $winner).'.')
            ->remedy('Remove the one that you do not need.')
            ->related(new Related($source->file, $source->place($winner->span()), 'this one wins'));
    }

    /** What wins, and by what. */
    private static function reason(Defeat $defeat, Declaration $winner): string
    {
        $shown = self::shown($winner);
        $selector = English::excerpt($defeat->winner->rule?->written->prelude() ?? '', 30);
        $isInOneRule = $defeat->winner->rule === $defeat->loser->rule;

        return match ($defeat->ground()) {
            Criterion::Importance => "`$shown` has `!important`, which wins over everything without it",
            Criterion::Attachment => "`$shown` is in a `style` attribute, which wins over every rule",
            Criterion::Layer => "`$shown` is in a later layer or in none, which wins over an earlier layer",
            Criterion::Specificity => "the selector `$selector` sets `$shown`, and is more specific (an id counts more "
                .'than classes, a class more than element names)',
            Criterion::Order => $isInOneRule
                ? "`$shown` comes after it in the same rule"
                : "`$selector` sets `$shown` further down, and the later of two equal rules wins",
        };
    }

    private static function shown(Declaration $declaration): string
    {
        return "$declaration->name: ".English::excerpt($declaration->value(), 30);
    }

    /** Null where it wins somewhere, or counts nowhere. */
    private function defeatOf(Declaration $declaration, Examination $exam, SiteStyles $styles): ?Defeat
    {
        $defeat = null;
        foreach ($exam->site->pages as $page) {
            if ($styles->rulesOf($page) === []) {
                continue;
            }
            // The elements have to have been asked before it is known what won.
            $styles->cascadeOf($page);
            $decisions = $styles->decisionsOn($page);
            if ($decisions->wins($declaration)) {
                return null;
            }
            $defeat ??= $decisions->counts($declaration) ? $decisions->beatenBy($declaration) : null;
        }

        return $defeat;
    }

    private static function isFallback(Declaration $declaration, Declaration $winner): bool
    {
        // What one maker's browsers understand stands beside what all do.
        return $declaration->name[0] === '-' || $winner->name === $declaration->name
            && preg_match('/[a-z-]+\(|-webkit-|-moz-|[sld]v[hw]\b/i', $winner->value()) === 1;
    }
}

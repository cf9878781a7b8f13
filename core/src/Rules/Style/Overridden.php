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
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\Declarations;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Style\Cascade\Applied;
use InkedMargin\Core\Style\Syntax\Declaration;

/**
 * A declaration that another of the same stylesheet beats everywhere (CSS Cascade 5, section 6). What one sheet changes
 * of another is meant so, and so is a value for older browsers before a newer one.
 */
final readonly class Overridden extends Rule
{
    public function __construct()
    {
        parent::__construct(
            new RuleFacts(
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
            ),
        );
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
                $winner = $this->winnerOver($declaration, $exam, $styles);
                if ($winner?->declaration === null || $winner->declaration->tokens !== $declaration->tokens
                    || self::isFallback($declaration, $winner)) {
                    continue;
                }
                $shown = "$declaration->name: ".English::excerpt($declaration->value(), 30);
                yield Draft::inCss($source, $declaration->span(), "overridden:$shown")
                    ->says("`$shown` never shows: `{$winner->declaration->name}` is set again for the same elements.")
                    ->remedy('Remove one of the two.')
                    ->related(new Related($source->file, $source->place($winner->declaration->span()), 'set here'));
            }
        }
    }

    /** Null where it wins somewhere, or counts nowhere. */
    private function winnerOver(Declaration $declaration, Examination $exam, SiteStyles $styles): ?Applied
    {
        $winner = null;
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
            $winner ??= $decisions->counts($declaration) ? $decisions->beatenBy($declaration) : null;
        }

        return $winner;
    }

    private static function isFallback(Declaration $declaration, Applied $winner): bool
    {
        $other = $winner->declaration;

        return $other !== null && $other->name === $declaration->name
            && preg_match('/[a-z-]+\(|-webkit-|-moz-|[sld]v[hw]\b/i', $other->value()) === 1;
    }
}

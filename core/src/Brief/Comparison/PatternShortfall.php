<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Brief\Requirement\LostTag;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Pattern\Direction;
use InkedMargin\Core\Site\Pattern\PatternKind;
use InkedMargin\Core\Site\Pattern\PatternMatch;
use InkedMargin\Core\Site\Pattern\PatternViolation;
use InkedMargin\Core\Site\Pattern\ViolationKind;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/** A broken place of a pattern, in words. */
final readonly class PatternShortfall
{
    /** @var array<string, string> each with the id of the rule that speaks for it */
    public const VARIANTS = [
        'missing' => 'nav/pattern',
        'wrong' => 'nav/pattern',
        'swapped' => 'nav/pattern',
        'surplus' => 'nav/pattern',
        'mislabelled' => 'nav/pattern',
    ];

    public static function of(PatternViolation $violation, PatternMatch $match, ParsedSite $site): Shortfall
    {
        $page = $site->page($violation->from);
        $lost = self::lostChoice($violation, $match, $site);
        $words = $lost === null ? self::words($violation, $match, $site) : new Words(
            "This page offers fewer choices than the others, and no link leads to `$lost`.",
            'Add `<a href="'.RelativePath::between($violation->from, $lost).'">…</a>` as a choice here.',
        );
        $menu = $site->fact(MenuSurvey::class)->on($violation->from)?->element;
        $to = $violation->expected?->to;

        $place = $violation->link->reference->span ?? $menu?->place() ?? $page?->bodyPlace() ?? Span::at(0);
        $direction = $violation->expected->direction->value ?? '';
        $where = $to ?? $violation->link?->to() ?? '';
        $anchor = "pattern:{$violation->kind->value}:$direction:$where";
        $draft = Draft::in($violation->from, $page?->file, $place, $anchor)
            ->words($words)
            ->variant($violation->kind->value)
            ->mark(match ($violation->kind) {
                ViolationKind::Missing => ProofMark::Insert,
                ViolationKind::Surplus => ProofMark::TakeOut,
                default => ProofMark::Change,
            })
            ->mend(self::mend($violation))
            ->about(...array_filter([
                $to === null ? null : Subject::way($violation->from, $to),
                $lost === null ? null : Subject::way('', "lost $lost"),
            ]))
            ->causedBy(...($lost === null ? self::causes($violation, $site) : []));

        return Shortfall::of($draft)
            ->item('pattern')
            ->costing(min(1.0, $violation->links / max(1, $match->count)))
            ->slips(...self::slips($violation, $site));
    }

    /** The page that a page with too few choices should lead to: the only one that no link leads to. */
    private static function lostChoice(PatternViolation $violation, PatternMatch $match, ParsedSite $site): ?string
    {
        $isOfChoice = fn (PatternViolation $one) => $one->kind === ViolationKind::Missing
            && $one->expected?->to === null;
        $lost = $isOfChoice($violation) && $match->kind === PatternKind::Branching
            ? $site->fact(LinkMap::class)->unlinked()
            : [];

        return count($lost) === 1 && count(array_filter($match->violations, $isOfChoice)) === 1 ? $lost[0] : null;
    }

    /** @return list<string> the links that the page does not have because of it */
    private static function slips(PatternViolation $violation, ParsedSite $site): array
    {
        $to = $violation->expected?->to;
        if ($violation->kind === ViolationKind::Surplus && $violation->link !== null) {
            // A link that says one page and leads to another is the way that the page does not have.
            $named = $site->fact(PageNames::class)->pageNamedByLabel($violation->link);

            return $named === null ? [] : [SlipName::way($violation->from, $named)];
        }
        $isLack = in_array($violation->kind, [ViolationKind::Missing, ViolationKind::Wrong], true);

        return $to === null || ! $isLack
            ? []
            : array_map(fn (string $one) => SlipName::way($violation->from, $one), [$to, ...$violation->more]);
    }

    private static function mend(PatternViolation $violation): ?Mend
    {
        $reference = $violation->link?->reference;
        $to = $violation->expected?->to;
        if ($violation->kind !== ViolationKind::Wrong || $reference === null || $to === null) {
            return null;
        }

        return Mend::of(new Edit($reference->from, $reference->span, $reference->relativeUrlTo($to)));
    }

    /** @return list<string> a link that is broken, or that says one page and leads to another, has a rule of its own */
    private static function causes(PatternViolation $violation, ParsedSite $site): array
    {
        $causes = [];
        $to = $violation->expected?->to;
        $isSurplus = $violation->kind === ViolationKind::Surplus;
        $names = $site->fact(PageNames::class);
        foreach ($isSurplus ? [] : $site->fact(LinkMap::class)->linksOn($violation->from) as $link) {
            $named = $names->pageNamedByLabel($link) ?? $link->reference->target->candidates[0] ?? null;
            if ($link === $violation->link || ($named !== null && ($to ?? $named) === $named)) {
                $causes[] = Subject::place($violation->from, $link->reference->span->start);
            }
        }

        $page = $violation->kind === ViolationKind::Missing ? $site->page($violation->from) : null;
        $lost = $page === null ? [] : LostTag::causes($page, ['a'], $violation->links);

        return [...$causes, ...$lost, ...($to === null ? [Subject::way('', 'lost')] : [Subject::file($to)])];
    }

    private static function words(PatternViolation $violation, PatternMatch $match, ParsedSite $site): Words
    {
        $link = $violation->link;
        $to = $violation->expected?->to === null ? null : $site->expectedNameOf($violation->expected->to);
        $way = $violation->expected->direction ?? Direction::Menu;
        $typed = $to === null ? '' : RelativePath::between($violation->from, $to);
        $label = $link === null || $link->label === '' ? 'This link' : "The link “{$link->label}”";
        $leads = $link?->to() ?? $link?->reference->written;
        $because = self::because($match, $way);

        return match ($violation->kind) {
            ViolationKind::Missing => self::missing($violation, $to, $way, $typed, $because, $site),
            ViolationKind::Wrong => $to === null
                ? new Words(
                    "{$label} should lead to the next page of the story, but it leads nowhere.",
                    'Type the address of that page.',
                )
                : new Words(
                    "{$label} should be the {$way->words()} to `$to`$because, but "
                        .($link?->isUnfinished() === true
                            ? "its address `{$link->reference->written}` leads nowhere."
                            : "it leads to `$leads`."),
                    "Type `href=\"$typed\"`.",
                ),
            ViolationKind::Swapped => new Words(
                "{$label} leads to `$leads`, which is the other way: the two addresses are swapped.",
                "Type `href=\"$typed\"` here, and the address from here in the other link.",
            ),
            ViolationKind::Surplus => new Words(
                $match->kind === PatternKind::Branching
                    ? "{$label} leads to `$leads` and is one choice too many here."
                    : "{$label} leads to `$leads`, which is neither the next nor the previous page.",
                'Remove the link, or type the address of the page that it should lead to.',
            ),
            ViolationKind::Mislabelled => new Words(
                "{$label} is the {$way->words()}; the brief asks for the words “{$violation->label}”.",
                "Change its words to “{$violation->label}”.",
            ),
        };
    }

    private static function missing(
        PatternViolation $violation,
        ?string $to,
        Direction $way,
        string $typed,
        string $because,
        ParsedSite $site,
    ): Words {
        if ($to === null) {
            return new Words(
                'This page offers fewer choices than the others.',
                'Add a link to the page that comes next, or make this page an ending.',
            );
        }
        if ($violation->links > 1) {
            $pages = array_map(fn (string $path) => "`$path`", [
                $to,
                ...array_map($site->expectedNameOf(...), $violation->more),
            ]);
            $rest = $violation->links - count($pages);
            $named = English::list($rest > 0 ? [...$pages, "$rest more"] : $pages);

            return new Words("This page does not link to $named.", 'Add them to the menu of this page.');
        }
        $words = $violation->label === null ? '' : " with the words “{$violation->label}”";

        return new Words("This page has no {$way->words()} to `$to`$because.", "Add `<a href=\"$typed\">…</a>`$words.");
    }

    private static function because(PatternMatch $match, Direction $way): string
    {
        return match ($match->kind) {
            PatternKind::Ring => $way === Direction::On
                ? ', the next page in the ring'
                : ', the page before it in the ring',
            PatternKind::Chain => $way === Direction::On
                ? ', the next page in the chain'
                : ', the page before it in the chain',
            default => '',
        };
    }
}

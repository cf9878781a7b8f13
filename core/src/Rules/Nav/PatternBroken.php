<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Pattern\BreakKind;
use InkedMargin\Core\Site\Pattern\PatternBreak;
use InkedMargin\Core\Site\Pattern\PatternKind;
use InkedMargin\Core\Site\Pattern\PatternReading;
use InkedMargin\Core\Site\Pattern\Way;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** The pattern that the brief names, or that is plain to see, broken at one link. Common practice. */
final readonly class PatternBroken extends Rule
{
    public function __construct()
    {
        parent::__construct('nav/pattern', Weight::Departure, ProofMark::Change, 'The pattern in which the pages link is broken: a link is missing, wrong or too many.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach (Expectations::patterns($reading, $brief) as [$pattern, $requirement]) {
            foreach ($pattern->breaks as $break) {
                yield from $this->tell($break, $pattern, $reading, $requirement);
            }
        }
    }

    /** @return iterable<Finding> */
    private function tell(PatternBreak $break, PatternReading $pattern, SiteReading $reading, ?Navigation $requirement): iterable
    {
        $page = $reading->pages[$break->from] ?? null;
        if ($page === null || self::isToldElsewhere($break, $pattern, $reading)) {
            return;
        }
        [$message, $remedy] = self::words($break, $pattern);
        $menu = $reading->menus()->on($break->from)?->element;
        yield $this->finding(
            $break->from,
            $page->file,
            $break->link->reference->span ?? $menu?->place() ?? $page->document->first('body')?->place() ?? Span::at(0),
            $message,
            $remedy,
            "pattern:{$break->kind->value}:".($break->expected->way->value ?? '').':'.($break->expected->to ?? $break->link?->to() ?? ''),
            for: $requirement,
            mark: match ($break->kind) {
                BreakKind::Missing => ProofMark::Insert, BreakKind::Surplus => ProofMark::TakeOut, default => ProofMark::Change,
            },
        );
    }

    /** A menu that differs, a link that leads nowhere, and one whose words name the page that is missing, are told by rules of their own. */
    private static function isToldElsewhere(PatternBreak $break, PatternReading $pattern, SiteReading $reading): bool
    {
        $usual = $reading->menus()->usual;

        foreach ($break->kind === BreakKind::Surplus ? [] : $reading->map()->linksOn($break->from) as $link) {
            $named = $reading->names()->belied($link);
            if ($named !== null && ($break->expected->to ?? $named) === $named) {
                return true;
            }
        }

        return Expectations::isOfLink($break)
            || ($pattern->kind === PatternKind::Menu && $usual !== null && isset($usual->entries[$break->expected->to ?? '']));
    }

    /** @return array{string, string} */
    private static function words(PatternBreak $break, PatternReading $pattern): array
    {
        $link = $break->link;
        $to = $break->expected?->to;
        $way = $break->expected->way ?? Way::Menu;
        $typed = $to === null ? '' : RelativePath::between($break->from, $to);
        $label = $link === null || $link->label === '' ? 'This link' : "The link “{$link->label}”";

        return match ($break->kind) {
            BreakKind::Missing => $to === null
                ? ['A choice is missing here: the page offers fewer than the others.', 'Add a link to the page that follows, or make the page an ending.']
                : ["This page has no {$way->words()} to {$to}".self::because($pattern, $way).'.', "Add a link to {$typed}".($break->label === null ? '.' : " that says “{$break->label}”.")],
            BreakKind::Wrong => ["{$label} should be the {$way->words()} to {$to}".self::because($pattern, $way).', and leads to '.($link?->to() ?? $link?->reference->written).'.', "Type {$typed}."],
            BreakKind::Surplus => ["{$label} leads to {$link?->to()}, which has no place in this pattern.", 'Take it out.'],
            BreakKind::Mislabelled => ["{$label} is the {$way->words()}, and should say “{$break->label}”.", "Type {$break->label}."],
        };
    }

    private static function because(PatternReading $pattern, Way $way): string
    {
        return match ($pattern->kind) {
            PatternKind::Ring => $way === Way::On ? ', the next in the ring' : ', the one before it in the ring',
            PatternKind::Chain => $way === Way::On ? ', the next in the chain' : ', the one before it in the chain',
            PatternKind::Index => ', which it should list',
            default => '',
        };
    }
}

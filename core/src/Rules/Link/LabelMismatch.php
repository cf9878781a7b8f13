<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\LinkPlace;
use InkedMargin\Core\Site\Map\PageLink;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Menu\MenuEntry;
use InkedMargin\Core\Site\Menu\MenuSurvey;

/**
 * A label that names one page on the address of another: by file name, by what other links call it, by heading or
 * title. Silent when more than one page has that name. And a link in running text that leads to its own page, where its
 * words are not about that page. Common practice.
 */
final readonly class LabelMismatch extends Rule implements ComparesFiles
{
    /** Words around a link that make it part of a text. */
    private const RUNNING = 3;

    /** Links that lead to their own page on purpose. */
    private const BACK = '/\b(?:top|reload|refresh|again|restart|reset|this (?:page|site)|permalink|permanent|print|here)\b/i';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/label-mismatch',
            'Misleading link text',
            Weight::Departure,
            ProofMark::Look,
            'A link says the name of one page and leads to another, or to the page that it is on.',
            'People choose a link by its words. When it opens another page, they get lost and stop '
                .'trusting the menu.',
            Citation::wcag('2.4.4 Link Purpose (In Context)', 'link-purpose-in-context'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(LinkMap::class)->links as $link) {
            $named = $exam->site->fact(PageNames::class)->pageNamedByLabel($link);
            if ($named === null && self::isOwnInText($link)) {
                yield Draft::atAddress($link->reference)
                    ->variant('own')
                    ->says("The link “{$link->label}” leads to the page that it is on.")
                    ->remedy('Type the address of the page that it should lead to, or remove the link.');
            }
            if ($named === null) {
                continue;
            }
            yield self::isInMenuAlready($link, $named, $exam)
                ? self::draft($link, $named)->remedy("Change the words to those for `{$link->to()}`.")
                : self::readdressed($link, $named);
        }
    }

    /** Whether a link stands between other words of a paragraph and leads to its own page, which it does not name. */
    private static function isOwnInText(PageLink $link): bool
    {
        $element = $link->reference->element;
        $target = $link->reference->target;
        $isOwn = $link->to() === $link->from() && $target->fragment === null
            && ! str_contains($link->reference->written, '?');
        $paragraph = $element?->parent;
        while ($paragraph instanceof Element && $paragraph->name !== 'p') {
            $paragraph = $paragraph->parent;
        }
        if (! $isOwn || $link->place !== LinkPlace::Body || $paragraph === null || $element === null) {
            return false;
        }
        $around = count(explode(' ', $paragraph->words())) - count(explode(' ', $element->words()));

        return $around >= self::RUNNING
            && $link->label !== ''
            && preg_match(self::BACK, $link->label) !== 1
            && ! in_array(Label::plain($link->label), Label::ofPath($link->from()), true)
            && ! PageNames::isAbout($link->page, $link->label)
            && ! PageNames::isNamed($link->page, $link->label);
    }

    private static function readdressed(PageLink $link, string $named): Draft
    {
        $address = $link->reference->relativeUrlTo($named);

        return self::draft($link, $named)
            ->remedy("Type `href=\"$address\"`, or change the words.")
            ->mend(Mend::of(new Edit($link->reference->from, $link->reference->span, $address)));
    }

    private static function draft(PageLink $link, string $named): Draft
    {
        return Draft::atAddress($link->reference)
            ->says("This link says “{$link->label}” but leads to `{$link->to()}`; the page with that name is `$named`.")
            ->about(Subject::way($link->from(), $named));
    }

    /** Whether the menu has an entry for the page that the words name: then the words are wrong, not the address. */
    private static function isInMenuAlready(PageLink $link, string $named, Examination $exam): bool
    {
        $survey = $exam->site->fact(MenuSurvey::class);
        $menu = $survey->commonFor($link->from()) === null ? null : $survey->on($link->from());
        $isEntry = fn (MenuEntry $entry) => $entry->reference === $link->reference;
        $others = array_filter($menu->entries ?? [], fn (MenuEntry $entry) => ! $isEntry($entry));
        $keys = array_map(fn (MenuEntry $entry) => $entry->key, $others);

        return count($others) < count($menu->entries ?? [])
            && in_array($named, $keys, true)
            && ! in_array($link->to(), $keys, true);
    }
}

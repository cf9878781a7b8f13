<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\Resolution;

/** `link/empty`: an address with nothing in it, or a bare `#`, that was to be filled in. Common practice. */
final readonly class EmptyLink extends ReferenceRule
{
    private const MAX_NODES = 100;

    private const MAX_RELATED = 12;

    /** Attributes with which scripts turn a link into a button. */
    private const TOGGLES = [
        'onclick', 'aria-expanded', 'aria-haspopup', 'aria-controls', 'data-toggle', 'data-bs-toggle', 'data-target',
        'role',
    ];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/empty',
            'Link without address',
            Weight::Departure,
            ProofMark::Insert,
            'A link has no address, or only a #.',
            'It looks like a link, but clicking it does nothing, jumps to the top or loads the same '
                .'page again. Without `href`, people who use the keyboard cannot reach it.',
            Citation::html('The a element', 'text-level-semantics.html#the-a-element'),
            ['nav/pattern'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $toggles = [];
        foreach ($exam->site->resolvedAs(Resolution::Placeholder) as $reference) {
            // An empty action sends a form to its own page, and is none to fill in.
            $mayBeEmpty = in_array($reference->kind, [ReferenceKind::Form, ReferenceKind::Other], true);
            if ($mayBeEmpty || self::goesToTop($reference) || self::isOwnEntry($reference, $exam)) {
                continue;
            }
            if (self::isToggle($reference)) {
                $toggles[] = $reference;

                continue;
            }
            yield $this->checkReference($reference, $exam);
        }
        if ($toggles !== []) {
            yield $this->toggle($toggles);
        }
        foreach ($exam->site->pages as $page) {
            foreach ($page->named('a') as $element) {
                $finding = $this->withoutHref($element, $page);
                if ($finding !== null) {
                    yield $finding;
                }
            }
        }
    }

    protected function resolution(): Resolution
    {
        return Resolution::Placeholder;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $to = $exam->expectations()->target($reference);
        $isEmpty = trim($reference->written) === '';

        return Draft::atAddress($reference)
            ->variant($isEmpty ? 'empty' : 'placeholder')
            ->says(match (true) {
                $reference->kind !== ReferenceKind::Link => "The attribute `{$reference->attribute}` is empty.",
                $isEmpty => 'The address of this link is empty, so it leads to its own page.',
                default => "`{$reference->written}` is not an address yet, so this link leads nowhere.",
            })
            ->remedy($to === null
                ? 'Type the address of the page that it should lead to.'
                : "By the order of the pages it should lead to `$to`: type ".self::written(
                    $reference,
                    $reference->relativeUrlTo($to),
                ).'.')
            ->mend(self::changeTo($reference, $to))
            ->about(...($reference->element === null
                ? []
                : [Subject::element($reference->from->path, $reference->element)]))
            ->folded($to === null ? 'placeholder' : '');
    }

    /** @param  non-empty-list<Reference>  $toggles  told once a site, as advice */
    private function toggle(array $toggles): Draft
    {
        return Draft::atAddress($toggles[0])
            ->variant('toggle')
            ->says('This link only runs a script, so it should be a button.')
            ->remedy('Use `<button type="button">` in place of `<a href="#">`.')
            ->related(...array_map(
                fn (Reference $one) => new Related($one->from, $one->span, 'the same here'),
                array_slice($toggles, 1, self::MAX_RELATED),
            ))
            ->weight(Weight::Tidy);
    }

    private function withoutHref(Element $element, Page $page): ?Draft
    {
        // What has attributes of another use is a target, or told as a misspelling; plain words of a menu's own entry
        // are no link.
        if (! $element->isWritten() || $element->attributes !== [] || $element->words(self::MAX_NODES) === '') {
            return null;
        }

        return Draft::at($page, $element)
            ->variant('no-href')
            ->says('This `<a>` has no `href`, so it is not a link.')
            ->remedy('Add `href="…"` with the address to the tag.');
    }

    /** A bare `#` leads to the top of the page (HTML Standard, 7.4.6.3), which is right for a link that says so. */
    private static function goesToTop(Reference $reference): bool
    {
        return $reference->element !== null && trim($reference->written) === '#'
            && preg_match('/\b(?:top|haut|oben|arriba|inicio)\b|[↑⇧▲⬆]|トップ|上/iu', Label::of($reference->element)) === 1;
    }

    /** The entry of a menu for the page that it is on leads to its own page, and may. */
    private static function isOwnEntry(Reference $reference, Examination $exam): bool
    {
        $page = $exam->site->page($reference->from->path);

        return $page !== null && $reference->element !== null && $reference->kind === ReferenceKind::Link
            && PageNames::isNamed($page, Label::of($reference->element));
    }

    /** The head of a dropdown, or a link with a click handler. */
    private static function isToggle(Reference $reference): bool
    {
        $element = $reference->element;
        if ($element === null || $reference->kind !== ReferenceKind::Link) {
            return false;
        }
        $isScript = str_starts_with(strtolower(trim($reference->written)), 'javascript:');
        if ($isScript || array_intersect_key(array_flip(self::TOGGLES), $element->attributes) !== []) {
            return true;
        }
        // A list beside it in the same item is what it opens.
        if (self::isBesideList($element)) {
            return true;
        }

        return preg_match(
            '/dropdown|toggle|hamburger|menu-?(?:button|icon)|accordion|tab/i',
            ($element->value('class') ?? '').' '.($element->value('id') ?? ''),
        ) === 1;
    }

    /** Whether a list in the same item is what the link opens */
    private static function isBesideList(Element $link): bool
    {
        foreach ($link->parent?->name === 'li' ? $link->parent->elements() : [] as $beside) {
            if (in_array($beside->name, ['ul', 'ol', 'menu', 'div'], true)) {
                return true;
            }
        }

        return false;
    }
}

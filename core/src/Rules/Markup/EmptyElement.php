<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;

/** A heading, link, paragraph or list item with nothing in it (HTML Standard, 3.2.5.3, "palpable content"). */
final readonly class EmptyElement extends Rule
{
    private const NAMES = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'a', 'p', 'li'];

    private const PALPABLE = [
        'img', 'svg', 'input', 'button', 'iframe', 'video', 'audio', 'object', 'canvas', 'embed', 'picture', 'math',
        'select',
        'textarea', 'hr', 'slot', 'template', 'script', 'meter', 'progress',
    ];

    private const WHITE = " \t\n\f\r\u{A0}";

    /** How far to look before a page is gone through whole: elements in elements, and children of each. */
    private const DEEP_ENOUGH = 3;

    private const FAR_ENOUGH = 5;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/empty-element',
            'Empty element',
            Weight::Departure,
            ProofMark::Look,
            'A heading, link, paragraph or list item is empty.',
            'It shows nothing but can leave a gap, and a screen reader announces a heading, link or '
                .'list item without saying which.',
            Citation::html('Kinds of content', 'dom.html#kinds-of-content'),
            [
                'markup/stray-end-tag', 'markup/misnested', 'markup/content-model', 'markup/unclosed-element',
                'link/empty', 'markup/missing-alt', 'content/starter-unchanged',
            ],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $found = null;
            foreach (self::NAMES as $name) {
                foreach ($page->named($name) as $element) {
                    // Most pages have no empty element at all, and are not gone through whole.
                    if (! $element->isWritten() || self::isPlainlyFilled($element) || self::isNamed($element)) {
                        continue;
                    }
                    $found ??= self::filled($page);
                    if (isset($found[spl_object_id($element)]) || self::isFilledByScript($element, $page)) {
                        continue;
                    }
                    yield self::draft($page, $element);
                }
            }
        }
    }

    private static function draft(Page $page, Element $element): Draft
    {
        return Draft::at($page, $element)
            ->says("This `<{$element->name}>` has nothing in it.")
            ->remedy($element->name === 'a'
                ? 'Write the words of the link between the tags.'
                : 'Write what belongs there, or remove the tags.')
            ->causedBy(Subject::place($page->path(), $element->closedAt ?? 0))
            ->folded($element->name);
    }

    /** Whether the first things in an element show that it is not empty. */
    private static function isPlainlyFilled(Element $element): bool
    {
        for ($depth = 0; $depth < self::DEEP_ENOUGH; $depth++) {
            $inside = null;
            foreach (array_slice($element->children, 0, self::FAR_ENOUGH) as $child) {
                if ($child instanceof TextNode && trim($child->text, self::WHITE) !== '') {
                    return true;
                }
                if ($child instanceof Element) {
                    $inside ??= $child;
                }
            }
            if ($inside === null || in_array($inside->name, self::PALPABLE, true)) {
                return $inside !== null;
            }
            $element = $inside;
        }

        return false;
    }

    /** An element with a name for assistive software, or a place that links lead to. */
    private static function isNamed(Element $element): bool
    {
        $name = $element->value('aria-label') ?? $element->value('aria-labelledby') ?? $element->value('title') ?? '';
        $isTarget = $element->name === 'a'
            && $element->value('href') === null
            && ($element->value('id') ?? $element->value('name')) !== null;

        // An attribute for scripts says that one of them fills it, or uses it as it is.
        $isForScripts = preg_grep('/^data-/', array_map(strval(...), array_keys($element->attributes))) !== [];

        return trim($name) !== ''
            || $isTarget
            || $isForScripts
            || $element->value('hidden') !== null
            || $element->value('aria-hidden') === 'true';
    }

    /** Whether its id or a class occurs in a script of the page, which may fill it. */
    private static function isFilledByScript(Element $element, Page $page): bool
    {
        if ($page->named('script') === []) {
            return false;
        }
        $names = array_filter([$element->value('id') ?? '', ...$element->classes()], fn (string $name) => $name !== '');
        foreach ($page->named('script') as $script) {
            // A script in a file of its own may do the same.
            if ($names !== [] && $script->attribute('src') !== null) {
                return true;
            }
            $text = $script->text();
            foreach ($names as $name) {
                if (str_contains($text, $name)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @return array<int, true> the elements that have something in them, by object id: from the last to the first, each
     *     looked at once
     */
    private static function filled(Page $page): array
    {
        $palpable = array_fill_keys(self::PALPABLE, true);
        $filled = [];
        foreach (array_reverse($page->document->elements()) as $element) {
            foreach ($element->children as $child) {
                $isFilled = match (true) {
                    $child instanceof TextNode => trim($child->text, self::WHITE) !== '',
                    $child instanceof Element => isset($filled[spl_object_id($child)]) || isset($palpable[$child->name])
                        || str_contains($child->name, '-'),
                    default => false,
                };
                // An icon of a font is an empty element with a class, and a picture all the same.
                $isIcon = $child instanceof Element
                    && in_array($child->name, ['i', 'span'], true)
                    && $child->attribute('class') !== null;
                if ($isFilled || $isIcon) {
                    $filled[spl_object_id($element)] = true;
                    break;
                }
            }
        }

        return $filled;
    }
}

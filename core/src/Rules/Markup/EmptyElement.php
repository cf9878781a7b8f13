<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

/** A heading, link, paragraph or list item with nothing in it (HTML Standard, 3.2.5.3, "palpable content"). */
final readonly class EmptyElement extends Rule
{
    private const PALPABLE = ['img' => true, 'svg' => true, 'input' => true, 'button' => true, 'iframe' => true, 'video' => true, 'audio' => true, 'object' => true, 'canvas' => true, 'embed' => true, 'picture' => true, 'math' => true, 'select' => true, 'textarea' => true, 'hr' => true];

    public function __construct()
    {
        parent::__construct('markup/empty-element', Weight::Departure, ProofMark::Look, 'A heading, link, paragraph or list item is empty.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $filled = self::filled($page);
            foreach ($page->elements as $element) {
                if (isset($filled[spl_object_id($element)]) || ! $element->isWritten() || preg_match('/^(?:h[1-6]|a|p|li)$/', $element->name) !== 1 || self::isNamed($element)) {
                    continue;
                }
                yield $this->on($element, $page->file, $element->place(), "This {$element->name} has nothing in it.", 'Write what belongs there, or take the tags out.');
            }
        }
    }

    /** An element with a name for assistive software, or a place that links lead to. */
    private static function isNamed(Element $element): bool
    {
        return $element->value('aria-label') !== null || ($element->value('id') !== null && $element->name === 'a' && $element->value('href') === null);
    }

    /** @return array<int, true> the elements that have something in them, by object id: found from the last to the first, so that each is looked at once */
    private static function filled(Page $page): array
    {
        $filled = [];
        foreach (array_reverse($page->document->elements()) as $element) {
            foreach ($element->children as $child) {
                if ($child instanceof Text ? trim($child->text, " \t\n\f\r\u{A0}") !== '' : $child instanceof Element && (isset($filled[spl_object_id($child)]) || isset(self::PALPABLE[$child->name]))) {
                    $filled[spl_object_id($element)] = true;
                    break;
                }
            }
        }

        return $filled;
    }
}

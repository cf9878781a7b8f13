<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;

/** A heading, link, paragraph or list item with nothing in it (HTML Standard, 3.2.5.3, "palpable content"). */
final readonly class EmptyElement extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/empty-element', Weight::Departure, ProofMark::Look, 'A heading, link, paragraph or list item is empty.');
    }

    protected function lookAt(Element $element, Page $page): ?Finding
    {
        $named = $element->value('aria-label') !== null || $element->value('id') !== null && $element->name === 'a' && $element->value('href') === null;
        if (! $element->isWritten() || $named || preg_match('/^(?:h[1-6]|a|p|li)$/', $element->name) !== 1 || trim($element->text(), " \t\n\f\r\u{A0}") !== '') {
            return null;
        }
        foreach (Walk::elements($element) as $inside) {
            if (in_array($inside->name, ['img', 'svg', 'input', 'button', 'iframe', 'video', 'audio', 'object', 'canvas', 'embed', 'picture', 'math', 'select', 'textarea', 'hr'], true)) {
                return null;
            }
        }

        return $this->at($element, $page, "This {$element->name} has nothing in it.", 'Write what belongs there, or take the tags out.');
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;

/** The name of an element or attribute in capitals. Common practice. */
final readonly class TagCase extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/tag-case', Weight::Tidy, ProofMark::Change, 'An element or attribute is written in capitals.');
    }

    protected function lookAt(Element $element, Page $page): ?Finding
    {
        if (! $element->isWritten()) {
            return null;
        }
        if (preg_match('/^<[a-z0-9-]*[A-Z]/', $page->file->excerpt($element->place())) === 1) {
            return $this->at($element, $page, 'The name of this element is in capitals.', "Type <{$element->name}>, and small letters in the end tag too.");
        }
        foreach ($element->attributes as $attribute) {
            $written = $page->file->excerpt($attribute->nameSpan());
            if ($written !== strtolower($written)) {
                return $this->on($element, $page->file, $attribute->nameSpan(), "The name of the attribute {$written} is in capitals.", "Type {$attribute->name}.", about: '@case');
            }
        }

        return null;
    }
}

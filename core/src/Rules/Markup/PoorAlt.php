<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;

/** Alt text that says nothing of the picture: a file name, or that it is one (WCAG 2.2, failure F30). */
final readonly class PoorAlt extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/poor-alt', Weight::Tidy, ProofMark::Change, 'Alt text is a file name, or says only that there is a picture.');
    }

    protected function lookAt(Element $element, Page $page): ?Finding
    {
        $alt = $element->name === 'img' ? $element->attribute('alt') : null;
        $text = strtolower(trim($alt->value ?? ''));
        if ($alt === null || $text === '') {
            return null;
        }
        $isFileName = preg_match('/\.(?:png|jpe?g|gif|svg|webp|avif|bmp)$/', $text) === 1 || $text === strtolower(pathinfo($element->value('src') ?? '', PATHINFO_FILENAME));
        if (! $isFileName && ! in_array($text, ['image', 'picture', 'photo', 'img', 'pic', 'graphic', 'alt', 'alt text', 'my image', 'my picture'], true)) {
            return null;
        }

        return $this->on($element, $page->file, $alt->span(), "The alt text “{$alt->value}” does not say what the picture shows.", 'Write what somebody who cannot see it should know.');
    }
}

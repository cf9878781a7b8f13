<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;

/** Alt text that says nothing of the picture: a file name, or that it is one (WCAG 2.2, failure F30). */
final readonly class PoorAlt extends ElementRule
{
    private const SAYS_NOTHING = [
        'image', 'picture', 'photo', 'img', 'pic', 'graphic', 'alt', 'alt text', 'my image', 'my picture', 'an image',
        'a picture', 'a photo', 'image here',
    ];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/poor-alt',
            'Unhelpful alt text',
            Weight::Tidy,
            ProofMark::Change,
            'Alt text is a file name, or says only that there is a picture.',
            'A screen reader reads the alt text in place of the picture. “Photo” or a file name tells '
                .'nobody what is in it.',
            Citation::html('Requirements for providing text to act as an alternative for images', 'images.html#alt'),
        ));
    }

    protected function concerns(string $name): bool
    {
        return $name === 'img';
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Draft
    {
        $alt = $element->attribute('alt');
        $text = strtolower(trim($alt->value ?? ''));
        if ($alt === null || $text === '') {
            return null;
        }
        // "Dogs" on dogs.png may be all there is to say; "img_2041" is not.
        $stem = strtolower(pathinfo($element->value('src') ?? '', PATHINFO_FILENAME));
        $isFileName = preg_match('/\.(?:png|jpe?g|gif|svg|webp|avif|bmp)$/', $text) === 1
            || ($text === $stem && preg_match('/[\d_]|-.*-/', $text) === 1);
        if (! $isFileName && ! in_array($text, self::SAYS_NOTHING, true)) {
            return null;
        }

        return Draft::at($page, $element)
            ->span($alt->span())
            ->says("The alt text “{$alt->value}” does not say what the picture shows.")
            ->remedy('Write what someone who cannot see it should know.');
    }
}

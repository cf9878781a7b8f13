<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

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
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Page;

/**
 * An `img` without an `alt` attribute, or a link without any words (HTML Standard, 4.8.4.4; WCAG 2.2, 1.1.1 and 2.4.4).
 */
final readonly class MissingAlt extends ElementRule
{
    /** A link is looked for so far up, and gone through so far: what is larger is no link around a picture. */
    private const MAX_STEPS = 200;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-alt',
            'Missing alt text',
            Weight::Fault,
            ProofMark::Insert,
            'A picture has no alt text.',
            'People who cannot see the picture have its alt text read to them. Everybody sees it when '
                .'the picture does not load.',
            Citation::wcag('1.1.1 Non-text Content', 'non-text-content'),
        ));
    }

    protected function concerns(string $name): bool
    {
        return $name === 'img';
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Draft
    {
        $alt = $element->attribute('alt');
        if ($alt !== null) {
            $link = $alt->value === '' ? self::linkWithoutWords($element) : null;

            return $link === null ? null : Draft::at($page, $element)
                ->variant('link')
                ->span($alt->span())
                ->says('This picture is the only thing in its link, and its alt text is empty, '
                    .'so the link has no name.')
                ->remedy('Write where the link leads: `alt="…"`.')
                ->about(Subject::element($page->path(), $link));
        }
        if (
            $element->value('aria-label') !== null
            || $element->value('role') === 'presentation'
            || $element->value('role') === 'none'
        ) {
            return null;
        }

        return self::without($element, $page);
    }

    private static function without(Element $element, Page $page): Draft
    {
        $picture = basename($element->value('src') ?? '');
        $tag = $element->place();
        $bytes = rtrim(substr($page->file->bytes, $tag->start, $tag->length() - 1), " \t\r\n/");

        $draft = Draft::at($page, $element)
            ->variant('none')
            ->says(($picture === '' ? 'This picture' : "The picture `$picture`")
                .' has no alt text, so people who cannot see it learn nothing about it.');
        $link = self::linkWithoutWords($element);
        // An empty alt text would leave the link without a name.
        if ($link !== null) {
            return $draft->remedy('Add `alt="…"` that says where the link leads: it has no other words.');
        }

        return $draft
            ->remedy('Add `alt="…"` with what the picture shows, or `alt=""` if it is only decoration.')
            ->mend(Mend::of(Edit::insert($page->file, $tag->start + strlen($bytes), ' alt=""')));
    }

    /** The link around a picture, when nothing in it has words. */
    private static function linkWithoutWords(Element $image): ?Element
    {
        $above = self::linkAround($image);
        if (! $above instanceof Element || $above->name !== 'a' || $above->value('href') === null) {
            return null;
        }
        $steps = self::MAX_STEPS;
        if (self::speaks($above)) {
            return null;
        }
        foreach (Walk::nodes($above) as $inside) {
            if (--$steps <= 0 || self::speaks($inside)) {
                return null;
            }
        }

        return $above;
    }

    private static function linkAround(Element $image): ?Element
    {
        $steps = self::MAX_STEPS;
        $above = $image->parent;
        while ($above instanceof Element && $above->name !== 'a' && $steps-- > 0) {
            $above = $above->parent;
        }

        return $above instanceof Element && $above->name === 'a' ? $above : null;
    }

    private static function speaks(mixed $node): bool
    {
        if ($node instanceof TextNode) {
            return ! $node->isBlank();
        }

        $said = fn (string $attribute) => $node instanceof Element ? $node->value($attribute) ?? '' : '';

        return trim(implode('', array_map($said, ['alt', 'aria-label', 'aria-labelledby', 'title']))) !== '';
    }
}

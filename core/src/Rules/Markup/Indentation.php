<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/**
 * A child that does not stand deeper than its parent, or an end tag in another column than its start tag. Common practice.
 * A page is told of once, at the first place, with how many more there are; html, head and body need not indent what they hold.
 */
final readonly class Indentation extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/indentation', Weight::Tidy, ProofMark::Move, 'A tag is not indented like the ones around it.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $crooked = [];
            foreach ($page->elements as $element) {
                $trouble = self::trouble($element, $page->file);
                if ($trouble !== null) {
                    $crooked[] = [$element, ...$trouble];
                }
            }
            if ($crooked === []) {
                continue;
            }
            [$element, $span, $message] = $crooked[0];
            $more = count($crooked) - 1;
            yield $this->on(
                $element,
                $page->file,
                $span,
                $message.($more === 0 ? '' : " There are {$more} more like it on this page."),
                'Indent what stands inside a tag by one step, and put its end tag in the column of its start tag.',
                about: '#indent',
            );
        }
    }

    /** @return array{Span, string}|null where, and what is the matter */
    private static function trouble(Element $element, SourceFile $file): ?array
    {
        $parent = $element->parent;
        $column = self::column($element->startTag(), $file);
        if ($column === null || ! $element->isWritten() || ! $parent instanceof Element) {
            return null;
        }
        $around = in_array($parent->name, ['html', 'head', 'body'], true) ? null : self::column($parent->startTag(), $file);
        if ($around !== null && $column <= $around) {
            return [$element->place(), "This {$element->name} stands in {$parent->name}, and is not indented deeper."];
        }
        $end = self::column($element->endTag(), $file);

        return $end === null || $element->endTag() === null || $end === $column
            ? null
            : [$element->endTag(), "</{$element->name}> stands in column {$end}, and its start tag in column {$column}."];
    }

    /** The column of a tag that is the first thing on its line; null for any other. */
    private static function column(?Span $tag, SourceFile $file): ?int
    {
        if ($tag === null) {
            return null;
        }
        // White space is one byte a column, so that as many bytes before the tag show whether it is the first on its line.
        $position = $file->position($tag->start);
        $before = substr($file->bytes, $tag->start - $position->column + 1, $position->column - 1);

        return trim($before, " \t") === '' ? $position->column : null;
    }
}

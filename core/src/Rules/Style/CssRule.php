<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Source\Span;

/** A rule that points at a place in CSS, wherever that is written. */
abstract readonly class CssRule extends Rule
{
    /**
     * @param  Span  $span  in the CSS
     * @param  string  $anchor  what stays the same when lines move, besides where the CSS is written
     * @param  list<Related>  $related
     * @param  list<string>  $causes
     * @param  list<string>  $subjects  besides the place
     */
    final protected function cssFinding(
        StyleSource $source,
        Span $span,
        string $message,
        string $remedy,
        string $anchor,
        string $variant = '',
        array $related = [],
        ?Mend $mend = null,
        ?ProofMark $mark = null,
        array $causes = [],
        array $subjects = [],
        string $fold = '',
    ): Finding {
        $place = $source->place($span);

        return $this->finding(
            $source->path(),
            $source->file,
            $place,
            $message,
            $remedy,
            $source->anchor().":$anchor",
            $variant,
            $related,
            // What stands in an attribute with character references is not typed as it is read.
            $place == $span ? $mend : null,
            $mark,
            $causes,
            [self::at($source, $span), ...$subjects],
            $fold,
        );
    }

    /** A place in CSS as a subject of findings. */
    final protected static function at(StyleSource $source, Span $span): string
    {
        return Subject::place($source->path(), $span->start);
    }
}

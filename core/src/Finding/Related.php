<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

use InkedMargin\Core\Site\Consistency\Leftover;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** Another place that explains a finding. */
final readonly class Related
{
    public function __construct(public SourceFile $source, public Span $span, public string $message)
    {
    }

    /**
     * The first of some links, as places that a finding about the file behind them names.
     *
     * @param  list<Reference>  $references
     * @return list<self>
     */
    public static function links(array $references, string $message, int $most): array
    {
        $related = fn (Reference $one) => new self($one->from, $one->span, $message);

        return array_map($related, array_slice($references, 0, $most));
    }

    /** Where the page that something was copied from has it. */
    public static function original(Leftover $leftover): self
    {
        return new self($leftover->owner->file, $leftover->original, "the same {$leftover->kind->value}");
    }

    /**
     * @param  list<Leftover>  $leftovers
     * @return list<self> where each is
     */
    public static function leftovers(array $leftovers): array
    {
        return array_map(
            fn (Leftover $one) => new self($one->page->file, $one->span, "the {$one->kind->value} here"),
            $leftovers,
        );
    }
}

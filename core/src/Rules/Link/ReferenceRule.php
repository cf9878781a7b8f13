<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Resolution;
use InkedMargin\Core\Source\English;

/** A rule about the addresses of which one thing became when they were resolved. */
abstract readonly class ReferenceRule extends Rule
{
    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->resolvedAs($this->resolution()) as $reference) {
            yield $this->checkReference($reference, $exam);
        }
    }

    abstract protected function resolution(): Resolution;

    abstract protected function checkReference(Reference $reference, Examination $exam): Draft;

    /** The files that may be meant, each as the exact text to type; null when there are none. */
    final protected static function offer(Reference $reference): ?string
    {
        $offers = array_map(
            fn (string $path) => '`'.$reference->relativeUrlTo($path).'`',
            array_slice($reference->target->candidates, 0, 3),
        );

        return $offers === [] ? null : English::list($offers, 'or');
    }

    /** The address changed to that of a file of the site. */
    final protected static function changeTo(Reference $reference, ?string $path): ?Mend
    {
        return $path === null ? null : self::rewrite($reference, $reference->relativeUrlTo($path));
    }

    final protected static function rewrite(Reference $reference, string $address): Mend
    {
        return Mend::of(new Edit($reference->from, $reference->span, $address));
    }

    /** Where an address is quoted in an attribute: `href="…"`. */
    final protected static function written(Reference $reference, string $address): string
    {
        return $reference->element === null
            || str_contains($reference->attribute, 'srcset')
            || $reference->attribute === 'style'
            || $reference->attribute === 'url()'
            ? "`$address`"
            : "`{$reference->attribute}=\"$address\"`";
    }
}

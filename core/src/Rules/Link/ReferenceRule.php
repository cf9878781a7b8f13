<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\Nav\Expectations;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\SiteReading;

/** A rule that looks at the addresses of a site one by one. */
abstract readonly class ReferenceRule extends Rule
{
    final public function look(SiteReading $reading, Brief $brief): iterable
    {
        $expectations = Expectations::of($reading, $brief);
        foreach ($reading->references() as $reference) {
            $finding = $this->lookAt($reference, $reading, $brief, $expectations);
            if ($finding !== null) {
                yield $finding;
            }
        }
    }

    abstract protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding;

    final protected function at(Reference $reference, string $message, string $remedy, ?Requirement $for = null): Finding
    {
        return $this->finding($reference->from->path, $reference->from, $reference->span, $message, $remedy, $reference->anchor(), for: $for);
    }

    /** Words for the files that may be meant, each as the exact text to type; null when there are none. */
    final protected static function offer(Reference $reference): ?string
    {
        $offers = array_map($reference->textFor(...), array_slice($reference->target->candidates, 0, 3));

        return $offers === [] ? null : implode(' or ', $offers);
    }
}

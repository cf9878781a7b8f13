<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\Nav\Expectations;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Site\Verdict;

/** A file address, a drive letter, a share, reverse solidi, or a host of the author’s own network (RFC 6761, RFC 1918; common practice). */
final readonly class LocalPath extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/local-path', Weight::Fault, ProofMark::Change, 'An address names a place on the author’s own machine.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding
    {
        if ($reference->target->verdict !== Verdict::LocalPath) {
            return null;
        }
        $offer = self::offer($reference);

        return $this->at(
            $reference,
            str_contains($reference->written, '\\') && preg_match('~^(?:file:|[A-Za-z]:|\\\\\\\\)~i', $reference->written) !== 1
                ? "“{$reference->written}” has reverse solidi (\\), which are paths of one kind of machine and no addresses."
                : "“{$reference->written}” is a place on the author’s own machine. Nobody else gets there.",
            $offer === null ? 'Put the file into the site, and type its way from this file with / between folders.' : "Type {$offer}.",
        );
    }
}

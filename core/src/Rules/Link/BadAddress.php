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
use InkedMargin\Core\Site\Url\UrlProblem;
use InkedMargin\Core\Site\Verdict;

/** An address that the URL Standard cannot parse, or has something against (4.4, validation errors). */
final readonly class BadAddress extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/bad-address', Weight::Departure, ProofMark::Change, 'An address is not written as addresses are.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding
    {
        $problem = $reference->target->problem;
        if ($reference->target->verdict !== Verdict::BadAddress || $problem === null) {
            return null;
        }
        $found = $reference->target->found;
        [$message, $remedy] = match ($problem) {
            UrlProblem::InvalidUrlUnit => str_contains(trim($reference->written), ' ')
                ? ['has a space in it, which an address may not', $found === null ? 'Type %20 for the space.' : "Call the file by a name without spaces; until then type {$reference->textFor($found)}."]
                : ['has a character that an address has to escape', $found === null ? 'Type % and the two digits of its code in its place.' : "Type {$reference->textFor($found)}."],
            UrlProblem::SpecialSchemeMissingFollowingSolidus => ['does not have two slashes after its scheme', "Type {$reference->target->address}."],
            UrlProblem::InvalidReverseSolidus => ['has reverse solidi (\\) where slashes belong', "Type {$reference->target->address}."],
            UrlProblem::PortInvalid, UrlProblem::PortOutOfRange => ['has a port that is none', 'Take out what stands between : and the next /.'],
            UrlProblem::HostMissing => ['names no host', 'Type the name of the site after //.'],
            default => ['has a host name that is none', 'Look at the name between // and the next /.'],
        };

        return $this->at($reference, "“{$reference->written}” {$message}.", $remedy);
    }
}

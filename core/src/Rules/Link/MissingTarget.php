<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\Nav\Expectations;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Site\Verdict;

/** An address that resolves inside the site (URL Standard, 4.4) to a file that is not there. */
final readonly class MissingTarget extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/missing-file', Weight::Fault, ProofMark::Change, 'An address leads to a file that is not in the site.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding
    {
        $target = $reference->target;
        if ($target->verdict !== Verdict::MissingFile || self::isToldAsFile((string) $target->path, $reading, $brief)) {
            return null;
        }
        $expected = $expectations->target($reference);
        $offer = $expected === null ? self::offer($reference) : $reference->textFor($expected);

        return $this->at(
            $reference,
            "“{$reference->written}” leads to {$target->path}, and there is no such file in the site.",
            match (true) {
                $expected !== null => "By the order of the pages it should lead to {$expected}: type {$offer}.",
                $offer === null => "Add the file {$target->path}, or link to one that is there.",
                default => "If this is meant, type {$offer} here.",
            },
            $expectations->requirement($reference),
        );
    }

    /** A file that the brief asks for is told as missing once, with the links to it. */
    private static function isToldAsFile(string $path, SiteReading $reading, Brief $brief): bool
    {
        foreach ($brief->ofKind(Files::class) as $requirement) {
            $missing = $reading->remember($requirement, fn () => array_fill_keys($requirement->missing($reading->site), true));
            if (isset($missing[$path])) {
                return true;
            }
        }

        return false;
    }
}

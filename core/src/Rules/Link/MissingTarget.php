<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Site\Verdict;
use InkedMargin\Core\Source\NearestName;

/** An address that resolves inside the site (RFC 3986, 5.2) to a file that is not there. */
final readonly class MissingTarget extends Rule
{
    public function __construct()
    {
        parent::__construct('link/missing-file', Weight::Fault, ProofMark::Change, 'An address leads to a file that is not in the site.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $paths = array_map(strval(...), array_keys($reading->site->files()));
        foreach ($reading->pages as $page) {
            foreach ($page->references as $reference) {
                if ($reference->target->verdict === Verdict::MissingFile) {
                    $missing = (string) $reference->target->path;
                    yield $this->on(
                        $reference->element,
                        $page->file,
                        $reference->span,
                        "“{$reference->written}” leads to {$missing}, and there is no such file in the site.",
                        self::remedy($reference, $missing, $paths),
                    );
                }
            }
        }
    }

    /** @param  list<string>  $paths */
    private static function remedy(Reference $reference, string $missing, array $paths): string
    {
        $elsewhere = array_values(array_filter($paths, fn (string $path) => basename($path) === basename($missing)));
        $meant = $elsewhere[0] ?? NearestName::of($missing, $paths);
        if ($meant === null) {
            return "Add the file {$missing}, or link to one that is there.";
        }
        $written = RelativePath::between($reference->from->path, $meant);

        return $elsewhere === []
            ? "If {$meant} is meant, type {$written} here."
            : "The file stands in another place. From this page, type {$written}.";
    }
}

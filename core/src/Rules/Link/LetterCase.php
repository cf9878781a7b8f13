<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Site\Verdict;

/** An address that is right but for letter case, which most servers keep apart. Common practice. */
final readonly class LetterCase extends Rule
{
    public function __construct()
    {
        parent::__construct('link/letter-case', Weight::Fault, ProofMark::Change, 'An address differs from the file’s name in letter case.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->references as $reference) {
                $target = $reference->target;
                if ($target->verdict === Verdict::LetterCase && $target->spelling !== null) {
                    yield $this->on(
                        $reference->element,
                        $page->file,
                        $reference->span,
                        "“{$reference->written}” names {$target->path}, but the file is spelled {$target->spelling}. It works on some machines at home and fails on a server.",
                        'Type '.RelativePath::between($page->path(), $target->spelling).' here, or rename the file in small letters.',
                    );
                }
            }
        }
    }
}

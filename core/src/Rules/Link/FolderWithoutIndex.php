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

/** A link to a folder for which a server has no page to show. Common practice. */
final readonly class FolderWithoutIndex extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/folder-without-index', Weight::Fault, ProofMark::Insert, 'A link leads to a folder without an index.html.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding
    {
        if ($reference->target->verdict !== Verdict::FolderWithoutIndex) {
            return null;
        }

        return $this->at(
            $reference,
            "“{$reference->written}” leads to the folder {$reference->target->path}, which has no index.html: a server has no page to show for it.",
            'Link to a page in the folder, or add an index.html there.',
        );
    }
}

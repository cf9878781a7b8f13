<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Resolution;

/** A link to a folder for which a server has no page to show. Common practice. */
final readonly class FolderWithoutIndex extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(
            'link/folder-without-index',
            Weight::Fault,
            ProofMark::Insert,
            'A link leads to a folder without an index.html.',
            ['file/missing', 'file/no-home'],
        );
    }

    protected function resolution(): Resolution
    {
        return Resolution::FolderWithoutIndex;
    }

    protected function checkReference(Reference $reference, Examination $exam): Finding
    {
        $folder = rtrim((string) $reference->target->path, '/').'/';
        $inside = array_values(
            array_filter($exam->site->pagePaths(), fn (string $path) => str_starts_with($path, $folder)),
        );

        return $this->referenceFinding(
            $reference,
            "`{$reference->written}` leads to a folder that has no `index.html`, so a server has no page to show.",
            'Link to a page in the folder, or add an `index.html` to it.',
            causes: [Subject::file(ltrim("{$folder}index.html", '/'))],
            subjects: array_map(Subject::page(...), $inside),
        );
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Resolution;

/** A link to a folder for which a server has no page to show. Common practice. */
final readonly class FolderWithoutIndex extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/folder-without-index',
            'Folder without index.html',
            Weight::Fault,
            ProofMark::Insert,
            'A link leads to a folder without an index.html.',
            'For an address that ends in a folder, servers send the `index.html` in it. Without one, '
                .'visitors get an error or a bare list of files.',
            Citation::practice(),
            ['file/missing', 'file/no-home'],
        ));
    }

    protected function resolution(): Resolution
    {
        return Resolution::FolderWithoutIndex;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $folder = rtrim((string) $reference->target->path, '/').'/';
        $inside = array_values(
            array_filter($exam->site->pagePaths(), fn (string $path) => str_starts_with($path, $folder)),
        );

        return Draft::atAddress($reference)
            ->says("`{$reference->written}` leads to a folder that has no `index.html`, "
                .'so a server has no page to show.')
            ->remedy('Link to a page in the folder, or add an `index.html` to it.')
            ->about(...array_map(Subject::page(...), $inside))
            ->causedBy(Subject::file(ltrim("{$folder}index.html", '/')));
    }
}

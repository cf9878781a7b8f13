<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Names;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Site;

/** The name of the archive against the brief, or with an extension twice. Common practice. */
final readonly class ArchiveName extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/archive-name',
            'Wrong archive name',
            Weight::Departure,
            ProofMark::Change,
            'The archive does not have the right name.',
            'Hand-ins are matched by their names. With another name, yours can end up with the wrong '
                .'student or with none.',
            Citation::brief(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        $archive = $exam->site->files->packing->archive;
        foreach ($exam->brief->ofKind(Names::class) as $requirement) {
            if ($requirement->archive !== null) {
                return;
            }
        }
        if ($archive === null || preg_match('/^(.*\.zip)\.zip$/i', $archive, $once) !== 1) {
            return;
        }
        yield Draft::aboutFile(Site::HOME, $exam->site->files->home(), 'archive')
            ->variant('twice')
            ->says("The archive is named `$archive`, with the extension twice.")
            ->remedy("Rename it to `{$once[1]}`. Turn on file name extensions in your file manager to see them.");
    }
}

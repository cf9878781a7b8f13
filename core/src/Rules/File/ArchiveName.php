<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Names;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Site;

/** The name of the archive against the brief, or with an extension twice. Common practice. */
final readonly class ArchiveName extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'file/archive-name',
            Weight::Departure,
            ProofMark::Change,
            'The archive does not have the right name.',
        );
    }

    public function speaksFor(): array
    {
        return [Names::class => ['archive']];
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
        yield $this->fileFinding(
            Site::HOME,
            $exam->site->files->home(),
            "The archive is named `$archive`, with the extension twice.",
            "Rename it to `{$once[1]}`. Turn on file name extensions in your file manager to see them.",
            'twice',
            'archive',
        );
    }
}

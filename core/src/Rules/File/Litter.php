<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\LitterNames as LitterFile;
use InkedMargin\Core\Source\English;

/** Files that systems and editors leave behind, told once a site. Common practice. */
final readonly class Litter extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/litter',
            'Leftover file',
            Weight::Tidy,
            ProofMark::TakeOut,
            'A file was left behind by a system or an editor.',
            'Your computer or editor made this file for itself. It is not part of the site, and it '
                .'can tell others more about your computer than you want.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        $paths = array_values(array_filter($exam->site->files->paths(), LitterFile::is(...)));
        if ($paths === []) {
            return;
        }
        $others = count($paths) - 1;
        yield Draft::aboutFile($paths[0], $exam->site->files->file($paths[0]))
            ->says("`{$paths[0]}` was left behind by your system or editor"
                .($others === 0 ? '.' : ', and so '.($others === 1 ? 'was ' : 'were ').English::count(
                    $others,
                    'other file',
                ).'.'))
            ->remedy('Leave it out of the zip.');
    }
}

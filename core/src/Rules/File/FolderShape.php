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

/** A folder in a folder, or none, against the brief or most of the class. Common practice. */
final readonly class FolderShape extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/folder-shape',
            'Wrong folder layout',
            Weight::Departure,
            ProofMark::Move,
            'The site is not packed in one folder.',
            'People who open your zip expect the site in one folder. With a folder too many, the home '
                .'page is not where people and programs look for it.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->brief->ofKind(Names::class) as $requirement) {
            if ($requirement->folder !== null) {
                return;
            }
        }
        $packing = $exam->site->files->packing;
        $depth = count($packing->folders);
        $around = implode('/', $packing->folders);
        $usual = $packing->usualDepth;
        if ($depth > max(1, $usual ?? 1)) {
            yield $this->shape(
                $exam,
                "Your site is in a folder inside a folder: `$around`.",
                "Zip only the inner folder, `{$packing->folders[$depth - 1]}`.",
            );
        } elseif ($packing->archive !== null && $usual !== null && $depth < $usual) {
            yield $this->shape(
                $exam,
                'Your files are not in a folder, like those of the rest of the class.',
                'Put them all into one folder, and zip that folder.',
            );
        }
    }

    private function shape(Examination $exam, string $message, string $remedy): Draft
    {
        return Draft::aboutFile(Site::HOME, $exam->site->files->home(), 'folder')
            ->says($message)
            ->remedy($remedy);
    }
}

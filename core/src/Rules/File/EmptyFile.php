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

/** `file/empty`: a file without a byte, or with nothing but white space in it. Common practice. */
final readonly class EmptyFile extends Rule
{
    /** Bytes. */
    private const LARGEST_BLANK = 100_000;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/empty',
            'Empty file',
            Weight::Fault,
            ProofMark::Look,
            'A file is empty.',
            'An empty file shows a blank page, no picture or no styles. Often the work was saved '
                .'under another name or in another folder.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->files->ownFiles() as $file) {
            if (
                strlen($file->bytes) < self::LARGEST_BLANK
                && trim($file->bytes) === ''
                && basename($file->path) !== '.gitkeep'
            ) {
                yield Draft::aboutFile($file->path, $file)
                    ->says("`{$file->path}` is empty.")
                    ->remedy('Hand in the file with its content, or remove it.');
            }
        }
    }
}

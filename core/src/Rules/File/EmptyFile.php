<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A file without a byte, or with nothing but white space in it. Common practice. */
final readonly class EmptyFile extends Rule
{
    private const LARGEST_BLANK = 100_000;

    public function __construct()
    {
        parent::__construct('file/empty', Weight::Fault, ProofMark::Look, 'A file is empty.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->site->ownFiles() as $path => $file) {
            if (strlen($file->bytes) < self::LARGEST_BLANK && trim($file->bytes) === '') {
                yield $this->about((string) $path, $file, "{$path} is empty.", 'Hand in the file as it was meant, or take it out.');
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A file that the brief has no place for, where it says that there are to be no others. Common practice. */
final readonly class UnexpectedFile extends Rule
{
    public function __construct()
    {
        parent::__construct('file/unexpected', Weight::Tidy, ProofMark::TakeOut, 'A file is not among those that the brief allows.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $lists = $brief->ofKind(Files::class);
        $strict = array_values(array_filter($lists, fn (Files $files) => ! $files->mayBeOthers))[0] ?? null;
        foreach ($strict === null ? [] : $reading->site->ownFiles() as $path => $file) {
            $isAsked = array_filter($lists, fn (Files $files) => $files->names((string) $path)) !== [];
            if (! $isAsked) {
                yield $this->about((string) $path, $file, "The brief has no place for the file {$path}.", 'Take it out, if nothing needs it.', for: $strict);
            }
        }
    }
}

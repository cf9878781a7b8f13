<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Litter;
use InkedMargin\Core\Site\SiteReading;

/** Files that systems and editors leave behind. Common practice. */
final readonly class LitterFound extends Rule
{
    public function __construct()
    {
        parent::__construct('file/litter', Weight::Tidy, ProofMark::TakeOut, 'A file was left behind by a system or an editor.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $told = [];
        foreach ($reading->site->files() as $path => $file) {
            if (! Litter::is((string) $path)) {
                continue;
            }
            // A folder of litter is told once.
            $what = str_starts_with((string) $path, '__MACOSX/') ? '__MACOSX' : (string) $path;
            if (! isset($told[$what])) {
                $told[$what] = true;
                yield $this->about((string) $path, $file, "{$what} was left behind by a system or an editor, and is no part of the site.", 'Take it out before you pack the folder.', $what);
            }
        }
    }
}

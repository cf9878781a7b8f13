<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Site;

/** A file that the brief lists, or a page that it asks something of, is not in the site. Common practice. */
final readonly class Missing extends Rule
{
    private const MAX_LINKS = 3;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/missing',
            'Missing file',
            Weight::Fault,
            ProofMark::Insert,
            'A file that the brief asks for is missing.',
            'A page that is not there cannot be read, and every link to it leads to an error.',
            Citation::brief(),
            ['file/name', 'file/double-extension', 'file/no-home', 'file/wrong-type', 'file/empty'],
        ));
    }

    /** Pages that no list of files names: the brief asks for something on them. */
    public function check(Examination $exam): iterable
    {
        $site = $exam->site;
        $listed = array_merge(
            ...array_map(fn (Files $files) => $files->missing($site->files), $exam->brief->ofKind(Files::class)),
        );
        foreach (array_diff($site->missingPages(), $listed) as $path) {
            if ($path === Site::HOME || $site->files->file($path) !== null) {
                continue;
            }
            yield Draft::aboutFile($path, null)
                ->says("The brief asks for a page `$path`, and it is missing.")
                ->remedy("Add `$path`, spelled exactly like that.")
                ->related(...Related::links(
                    $site->referencesTo($path),
                    "this link leads to `$path`",
                    self::MAX_LINKS,
                ));
        }
    }
}

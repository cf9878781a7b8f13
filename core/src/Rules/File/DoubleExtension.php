<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A name with a second extension, as systems that hide extensions make it: `index.html.txt`. Common practice. */
final readonly class DoubleExtension extends Rule
{
    private const TWO = '/^(.*\.(?:html?|css|js|png|jpe?g|gif|svg|webp|pdf))\.(txt|rtf|docx?|odt|html?|css|js|png|jpe?g|gif|svg|webp|zip)$/i';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/double-extension',
            'Two file extensions',
            Weight::Fault,
            ProofMark::Change,
            'A file name has a second extension.',
            'The last extension tells the server what the file is. It sends `tides.html.txt` as plain '
                .'text, so visitors see your tags and not the page.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->files->ownFiles() as $file) {
            $meant = self::meant($file->path);
            if ($meant === null) {
                continue;
            }
            $last = ".{$file->extension()}";
            $right = basename($meant);
            yield Draft::aboutFile($file->path, $file)
                ->says("`{$file->name()}` has two extensions; servers and browsers use the last one, `$last`.")
                ->remedy("Rename it to `$right`. Turn on file name extensions in your file manager to see them.")
                ->about(Subject::file($meant));
        }
    }

    /** The path without the extension that is too many; null for a name that has none such. */
    public static function meant(string $path): ?string
    {
        return preg_match(self::TWO, $path, $part) === 1 ? $part[1] : null;
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A name with an extension behind its own, as systems that hide extensions make it: `index.html.txt`. Common practice. */
final readonly class DoubleExtension extends Rule
{
    private const TWO = '/^(.*\.(?:html?|css|js|png|jpe?g|gif|svg|webp|pdf))\.(txt|rtf|docx?|odt|html?|css|js|png|jpe?g|gif|svg|webp|zip)$/i';

    public function __construct()
    {
        parent::__construct('file/double-extension', Weight::Fault, ProofMark::Change, 'A file name has a second extension.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->site->ownFiles() as $path => $file) {
            $meant = self::meant((string) $path);
            if ($meant === null) {
                continue;
            }
            $asked = array_values(array_filter($brief->ofKind(Files::class), fn (Files $files) => $files->names($meant)))[0] ?? null;
            yield $this->about(
                (string) $path,
                $file,
                "“{$file->name()}” has a second extension: a server and a browser go by the last, .{$file->extension()}.",
                'Call it '.basename($meant).'. Show extensions in your file manager first.',
                for: $asked,
            );
        }
    }

    /** The path without the extension that is too many; null for a name that has none such. */
    public static function meant(string $path): ?string
    {
        return preg_match(self::TWO, $path, $part) === 1 ? $part[1] : null;
    }
}

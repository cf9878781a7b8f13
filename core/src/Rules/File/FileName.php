<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Names;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A file or folder name with capitals, spaces or other characters that addresses stumble over. Common practice. */
final readonly class FileName extends Rule
{
    public function __construct()
    {
        parent::__construct('file/name', Weight::Departure, ProofMark::Change, 'A file or folder name has capitals, spaces or characters beyond a-z, 0-9, - _ and .');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($brief->ofKind(Names::class) as $requirement) {
            foreach ($requirement->misnamed($reading->site) as $path) {
                yield $this->about($path, $reading->site->file($path), 'The brief wants files called '.$requirement->files?->for($reading->site->packing->handle).', and this is “'.basename($path).'”.', 'Rename it, and change every link that leads to it.', 'brief', $requirement);
            }
        }
        $told = [];
        foreach ($reading->site->ownFiles() as $path => $file) {
            $segments = explode('/', (string) $path);
            foreach ($segments as $depth => $segment) {
                $named = implode('/', array_slice($segments, 0, $depth + 1));
                if (isset($told[$named]) || preg_match('/^[a-z0-9._-]+$/D', $segment) === 1) {
                    continue;
                }
                $told[$named] = true;
                $what = $depth === count($segments) - 1 ? 'file' : 'folder';
                yield $this->about(
                    (string) $path,
                    $file,
                    "The {$what} name “{$segment}” has ".self::trouble($segment).'. It may work on one machine and fail on a server.',
                    'Call it '.self::better($segment).', and change every link that leads to it.',
                    "{$what}:{$named}",
                );
            }
        }
    }

    private static function trouble(string $name): string
    {
        $trouble = array_filter([
            preg_match('/\p{Lu}/u', $name) === 1 ? 'capitals' : null,
            str_contains($name, ' ') ? 'a space' : null,
            preg_match('/[^A-Za-z0-9._ -]/', $name) === 1 ? 'characters that addresses have to escape' : null,
        ]);

        return implode(' and ', $trouble) ?: 'characters that are better avoided';
    }

    private static function better(string $name): string
    {
        $plain = preg_replace('/[^a-z0-9._-]+/', '-', mb_strtolower($name)) ?? '';

        return trim(str_replace('-.', '.', $plain), '-') ?: 'a name of plain small letters';
    }
}

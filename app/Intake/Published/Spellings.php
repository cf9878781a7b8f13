<?php

declare(strict_types=1);

namespace App\Intake\Published;

/**
 * How the name of a file that a server does not find may be spelled there: in other letters. A server tells capitals
 * from small letters, where the computer of the author did not.
 */
final readonly class Spellings
{
    /**
     * @var array<string, list<string>> paths as they are spelled somewhere, by the same in small letters after a slash
     */
    private array $known;

    /** @param  list<string>  $known  paths that are likely to be there */
    public function __construct(array $known)
    {
        $spelled = [];
        foreach ($known as $path) {
            $spelled[self::key($path)][] = $path;
        }
        $this->known = $spelled;
    }

    /** @return list<string> other spellings of a path, the likeliest first */
    public function of(string $path): array
    {
        $folder = str_contains($path, '/') ? dirname($path).'/' : '';
        $name = basename($path);
        $stem = pathinfo($name, PATHINFO_FILENAME);
        $extension = pathinfo($name, PATHINFO_EXTENSION);
        $dot = $extension === '' ? '' : '.';
        $capital = mb_strtoupper(mb_substr($stem, 0, 1)).mb_substr($stem, 1);
        $spellings = [
            ...$this->known[self::key($path)] ?? [],
            mb_strtolower($path),
            $folder.mb_strtolower($name),
            $folder.$capital.$dot.$extension,
            $folder.$stem.$dot.mb_strtoupper($extension),
            $folder.$stem.$dot.mb_strtolower($extension),
            mb_strtoupper(mb_substr($folder, 0, 1)).mb_substr($folder, 1).$name,
        ];

        return array_values(array_unique(array_filter($spellings, fn (string $one) => $one !== $path && $one !== '')));
    }

    private static function key(string $path): string
    {
        return '/'.mb_strtolower($path);
    }
}

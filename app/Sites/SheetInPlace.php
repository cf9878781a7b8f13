<?php

declare(strict_types=1);

namespace App\Sites;

use App\Models\HandInFile;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\ReferenceKind;

/** A stylesheet of a hand-in that pages are shown in, in place of their own. */
final readonly class SheetInPlace
{
    /** @param  list<string>  $paths  of the sheet, and of those that it imports */
    private function __construct(private array $paths)
    {
    }

    /** @return self|null null where the hand-in has no such sheet */
    public static function of(SeenToken $seen, SiteStore $sites): ?self
    {
        $sheet = $seen->sheet();
        $files = HandInFile::query()->where('hand_in_id', $seen->handInId)->where('path', 'ilike', '%.css')->get();
        if ($sheet === null || ! $files->contains('path', $sheet)) {
            return null;
        }
        $site = ParsedSite::of($sites->ofFiles($files));
        $paths = [$sheet];
        for ($at = 0; $at < count($paths); $at++) {
            foreach ($site->sheets[$paths[$at]]->references ?? [] as $reference) {
                $imported = $reference->target->found;
                if ($reference->kind === ReferenceKind::Stylesheet && $imported !== null && ! in_array($imported, $paths, true)) {
                    $paths[] = $imported;
                }
            }
        }

        return new self($paths);
    }

    /** @param  string  $base  the address of the hand-in's root */
    public function link(string $base, string $nonce): string
    {
        return '<link rel="stylesheet" nonce="'.$nonce.'" href="'.e($base.self::encoded($this->paths[0])).'">';
    }

    /** @return list<string> what the page may load besides: the imports */
    public function sources(string $base): array
    {
        return array_map(fn (string $path) => $base.self::encoded($path), array_slice($this->paths, 1));
    }

    private static function encoded(string $path): string
    {
        return implode('/', array_map(rawurlencode(...), explode('/', $path)));
    }
}

<?php

declare(strict_types=1);

namespace App\Sites;

use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\ReferenceKind;

/** A stylesheet that pages are shown in, in place of their own: one of the site, or one that the assignment gives. */
final readonly class SheetInPlace
{
    /** @param  list<string>  $imports  addresses that it may load besides */
    private function __construct(private string $address, public array $imports)
    {
    }

    /**
     * @param  string  $token  that $seen was read from
     * @return self|null null where there is no such sheet
     */
    public static function of(SeenToken $seen, string $token, SiteFiles $sites, MaterialStore $materials): ?self
    {
        $host = config()->string('margin.seen_url');
        if ($seen->givenSheet() !== null) {
            $isGiven = $materials->givenSheet($seen->place->assignmentId, $seen->givenSheet()) !== null;
            $base = "$host/given/$token/";

            return $isGiven ? new self($base.self::encoded($seen->givenSheet()), [$base]) : null;
        }
        $sheet = $seen->sheet();
        $files = $sites->sheets($seen->place);
        if ($sheet === null || $files->file($sheet) === null) {
            return null;
        }
        $site = ParsedSite::of($files);
        $paths = [$sheet];
        for ($at = 0; $at < count($paths); $at++) {
            foreach ($site->sheets[$paths[$at]]->references ?? [] as $reference) {
                $imported = $reference->target->found;
                if (
                    $reference->kind === ReferenceKind::Stylesheet
                    && $imported !== null
                    && ! in_array($imported, $paths, true)
                ) {
                    $paths[] = $imported;
                }
            }
        }
        [$address, $imports] = [self::encoded($sheet), array_map(self::encoded(...), array_slice($paths, 1))];

        return new self(
            "$host/seen/$token/$address",
            array_map(fn (string $path) => "$host/seen/$token/$path", $imports),
        );
    }

    public function link(string $nonce): string
    {
        return '<link rel="stylesheet" nonce="'.$nonce.'" href="'.e($this->address).'">';
    }

    private static function encoded(string $path): string
    {
        return implode('/', array_map(rawurlencode(...), explode('/', $path)));
    }
}

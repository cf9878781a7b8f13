<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\SourceFile;

/**
 * Resolves addresses inside one site, as a server that shows `index.html` for a folder would (common practice).
 * The site stands at the root of an invented host, so that RFC 3986 section 5.2 does the rest.
 */
final readonly class Resolver
{
    private const ORIGIN = 'site://hand-in/';

    public function __construct(private Site $site)
    {
    }

    /** @param  string  $base the `href` of the page's `base` element, or '' (HTML Standard, 4.2.3) */
    public function resolve(string $written, SourceFile $from, string $base = ''): Target
    {
        $written = trim($written, " \t\n\f\r");
        if ($written === '' || $written === '#') {
            return new Target(Verdict::Placeholder);
        }
        $document = Address::parse(self::ORIGIN.self::encode($from->path));
        $address = $document->resolve(Address::parse($base))->resolve(Address::parse($written));
        if ($address->scheme !== 'site' || $address->authority !== 'hand-in') {
            return new Target(Verdict::Elsewhere);
        }

        return $this->look(ltrim(rawurldecode($address->path), '/'));
    }

    private function look(string $path): Target
    {
        if ($path === '' || str_ends_with($path, '/') || $this->site->hasFolder($path)) {
            $path = ltrim(rtrim($path, '/').'/index.html', '/');
        }
        if ($this->site->file($path) !== null) {
            return new Target(Verdict::Found, $path);
        }
        $spelling = $this->site->spelling($path);

        return $spelling === null
            ? new Target(Verdict::MissingFile, $path)
            : new Target(Verdict::LetterCase, $path, $spelling);
    }

    /** What would end the path early in an address is escaped; the rest is compared as it is. */
    private static function encode(string $path): string
    {
        return strtr($path, ['%' => '%25', '?' => '%3F', '#' => '%23']);
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/**
 * A URI reference in its five parts.
 *
 * Source: RFC 3986, section 3 (parts), appendix B (how to take one apart), section 5.2 (resolution)
 * and section 5.3 (how to put one together). A part that is absent is null; a part that is there but empty is ''.
 */
final readonly class Address implements \Stringable
{
    private function __construct(
        public ?string $scheme,
        public ?string $authority,
        public string $path,
        public ?string $query,
        public ?string $fragment,
    ) {
    }

    /** Never fails: every string of characters is some reference (RFC 3986, appendix B). */
    public static function parse(string $reference): self
    {
        preg_match('~^(?:([A-Za-z][A-Za-z0-9+.-]*):)?(?://([^/?#]*))?([^?#]*)(?:\?([^#]*))?(?:#(.*))?$~sD', $reference, $part, PREG_UNMATCHED_AS_NULL);

        return new self($part[1] ?? null, $part[2] ?? null, $part[3] ?? '', $part[4] ?? null, $part[5] ?? null);
    }

    /** The target of `$reference` seen from this address as base (RFC 3986, 5.2.2, strict). */
    public function resolve(self $reference): self
    {
        if ($reference->scheme !== null) {
            return new self($reference->scheme, $reference->authority, self::removeDots($reference->path), $reference->query, $reference->fragment);
        }
        if ($reference->authority !== null) {
            return new self($this->scheme, $reference->authority, self::removeDots($reference->path), $reference->query, $reference->fragment);
        }
        if ($reference->path === '') {
            return new self($this->scheme, $this->authority, $this->path, $reference->query ?? $this->query, $reference->fragment);
        }
        $path = str_starts_with($reference->path, '/') ? $reference->path : $this->merge($reference->path);

        return new self($this->scheme, $this->authority, self::removeDots($path), $reference->query, $reference->fragment);
    }

    public function __toString(): string
    {
        return ($this->scheme === null ? '' : $this->scheme.':')
            .($this->authority === null ? '' : '//'.$this->authority)
            .$this->path
            .($this->query === null ? '' : '?'.$this->query)
            .($this->fragment === null ? '' : '#'.$this->fragment);
    }

    /** RFC 3986, 5.2.3. */
    private function merge(string $path): string
    {
        if ($this->authority !== null && $this->path === '') {
            return '/'.$path;
        }
        $slash = strrpos($this->path, '/');

        return $slash === false ? $path : substr($this->path, 0, $slash + 1).$path;
    }

    /** RFC 3986, 5.2.4, on whole segments: `.` goes, `..` takes the segment before it along. */
    private static function removeDots(string $path): string
    {
        if (! str_contains($path, '.')) {
            return $path;
        }
        $segments = explode('/', $path);
        $last = count($segments) - 1;
        $kept = [];
        foreach ($segments as $index => $segment) {
            if ($segment !== '.' && $segment !== '..') {
                $kept[] = $segment;

                continue;
            }
            if ($segment === '..' && count($kept) > ($path[0] === '/' ? 1 : 0)) {
                array_pop($kept);
            }
            if ($index === $last) {
                $kept[] = '';
            }
        }

        return implode('/', $kept);
    }
}

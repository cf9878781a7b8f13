<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Site\Url\PercentEncoding;
use InkedMargin\Core\Site\Url\Url;
use InkedMargin\Core\Site\Url\UrlError;
use InkedMargin\Core\Site\Url\UrlProblem;
use InkedMargin\Core\Source\NearestName;

/**
 * Finds out where an address leads, as a server that shows `index.html` for a folder would (common practice).
 * The site stands at the root of an invented host, so that the URL Standard does the rest.
 */
final class Resolver
{
    private const HOST = 'hand-in.invalid';

    /**
     * Endings of host names that people write without a scheme. None is the extension of a file that students hand in.
     */
    private const TOP_LEVEL = 'com|org|net|edu|gov|info|io|co|eu|uk|us|de|fr|nl|it|es|ie|ch|at|be|dk|se|no|fi|au|nz|ca|in|jp|br';

    /** A site with more places that are not there has other troubles. */
    private const MAX_SEARCHES = 200;

    private readonly PathSuggestions $candidates;

    /** @var array<string, Target> by folder and address: pages of one folder say mostly the same */
    private array $known = [];

    /** @var array<string, string|null> by page and fragment, as far as they were searched for */
    private array $nearestPlaces = [];

    /**
     * @param  \Closure(string): (array<string, true>|null)  $ids the ids that fragments may name in a page, by its
     *     path; null when it is no page
     */
    public function __construct(private readonly Site $site, private readonly \Closure $ids)
    {
        $this->candidates = new PathSuggestions($site);
    }

    /**
     * The address that a page's references are seen from: its own, or what its `base` element says (HTML Standard,
     * 4.2.3).
     */
    public function baseOf(string $path, ?string $href = null): Url
    {
        $own = Url::parse('http://'.self::HOST.'/'.implode('/', array_map(rawurlencode(...), explode('/', $path))));
        try {
            return $href === null ? $own : Url::parse($href, $own);
        } catch (UrlError) {
            return $own;
        }
    }

    /** The path inside the site that an address stands for; null for one of another site. */
    public function pathOf(Url $url): ?string
    {
        return $url->host === self::HOST && ! $url->hasOpaquePath()
            ? ltrim(mb_scrub(PercentEncoding::decode($url->pathText()), 'UTF-8'), '/')
            : null;
    }

    public function resolve(string $written, Url $base): Target
    {
        // What begins with # or ? is about its own page, and no other of the folder.
        if ($written === '' || $written[0] === '#' || $written[0] === '?') {
            return $this->find($written, $base);
        }
        $path = $base->pathText();

        return $this->known[$base->host.substr(
            $path,
            0,
            (int) strrpos($path, '/'),
        )."\n".$written] ??= $this->find($written, $base);
    }

    private function find(string $written, Url $base): Target
    {
        $written = trim($written, " \t\n\f\r");
        if ($written === '' || $written === '#' || $written === '#!' || preg_match(
            '/^javascript:\s*(?:void\s*\(?\s*0\s*\)?)?;?\s*$/i',
            $written,
        ) === 1) {
            return new Target(Resolution::Placeholder);
        }
        $from = $this->pathOf($base) ?? '';
        if ($this->isLocal($written)) {
            return $this->suggestFor(Resolution::LocalPath, $written, $from);
        }
        $scheme = SchemeFault::in($written);
        if ($scheme !== null) {
            return new Target(Resolution::BadScheme, address: $scheme->mended ?? $written, scheme: $scheme);
        }
        // With one slash or none a browser takes the host for a folder of this site (4.4, "special relative or
        // authority state").
        $slip = AddressSlip::in($written);
        if ($slip === AddressSlip::Scheme) {
            return new Target(Resolution::BadAddress, address: $slip->mended($written), slip: $slip);
        }
        if (($slip === AddressSlip::Mail || $slip === AddressSlip::Telephone) && $this->site->file($written) === null) {
            return new Target(Resolution::BadAddress, slip: $slip);
        }
        try {
            $url = Url::parse($written, $base);
        } catch (UrlError $error) {
            return new Target(Resolution::BadAddress, problem: $error->problem);
        }
        if (in_array($url->scheme, ['http', 'https'], true) && $url->host !== self::HOST) {
            return $this->elsewhere($url);
        }
        $path = $this->pathOf($url);
        if ($path === null) {
            return new Target(Resolution::Other, address: (string) $url);
        }
        if ($this->climbsOut($written, $from)) {
            return $this->suggestFor(Resolution::OutsideSite, $written, $from);
        }

        return $this->inside($path, $url, $written, $from);
    }

    private function inside(string $path, Url $url, string $written, string $from): Target
    {
        $fragment = $url->fragment === null || $url->fragment === '' ? null : PercentEncoding::decode($url->fragment);
        $isFolder = $path === ''
            || str_ends_with($path, '/')
            || ($this->site->file($path) === null && $this->site->hasFolder($path));
        $file = $isFolder ? ltrim(rtrim($path, '/').'/index.html', '/') : $path;
        if ($this->site->file($file) !== null) {
            $ids = $fragment === null ? null : ($this->ids)($file);
            $problem = $url->problems[0] ?? null;

            // HTML Standard, 7.4.6.3: the top of the page needs no id.
            $lacksPlace = $ids !== null && ! isset($ids[$fragment]) && strtolower((string) $fragment) !== 'top';

            return new Target(match (true) {
                $problem !== null => Resolution::BadAddress,
                $lacksPlace => Resolution::MissingFragment,
                default => Resolution::Found,
            }, $path, $file, $fragment, problem: $problem, nearestFragment: $lacksPlace ? $this->nearestPlace(
                (string) $fragment,
                $file,
                $ids,
            ) : null);
        }
        if (preg_match(
            '~^(?:www\.[^/]|[a-z0-9-]+(?:\.[a-z0-9-]+)*\.(?:'.self::TOP_LEVEL.')(?:[/:?#]|$))~i',
            $written,
        ) === 1) {
            return new Target(Resolution::MissingScheme, address: "https://$written");
        }
        if ($isFolder && $this->site->hasFolder($path)) {
            return new Target(Resolution::FolderWithoutIndex, $path, fragment: $fragment);
        }
        $candidates = $this->candidates->for($file, $from);
        $best = $candidates[0] ?? null;
        $sameName = $best !== null && basename($best) === basename($file);

        return new Target(match (true) {
            $best !== null && mb_strtolower($best) === mb_strtolower($file) => Resolution::LetterCase,
            $sameName && ! ($isFolder && $path !== '') => Resolution::WrongFolder,
            default => Resolution::MissingFile,
        }, $file, fragment: $fragment, candidates: $candidates);
    }

    /** @param  array<string, true>  $ids */
    private function nearestPlace(string $fragment, string $file, array $ids): ?string
    {
        $key = "$file#$fragment";
        if (! array_key_exists($key, $this->nearestPlaces)) {
            if (count($this->nearestPlaces) >= self::MAX_SEARCHES) {
                return null;
            }
            $this->nearestPlaces[$key] = NearestName::of(
                $fragment,
                array_filter(array_map(strval(...), array_keys($ids)), fn (string $id) => $id !== ''),
            );
        }

        return $this->nearestPlaces[$key];
    }

    private function elsewhere(Url $url): Target
    {
        $host = (string) $url->host;
        $isNear = preg_match('/^(?:127|10|0)\.|^192\.168\.|^169\.254\.|^172\.(?:1[6-9]|2\d|3[01])\./', $host) === 1;
        if ($isNear || $host === '[::1]' || preg_match('/(?:^localhost|\.localhost|\.local)$/D', $host) === 1) {
            return $this->suggestFor(Resolution::LocalPath, $url->pathText(), '');
        }
        $problem = array_values(
            array_filter($url->problems, fn (UrlProblem $problem) => $problem !== UrlProblem::InvalidCredentials),
        )[0] ?? null;

        return new Target(
            $problem === null ? Resolution::Elsewhere : Resolution::BadAddress,
            address: (string) $url,
            problem: $problem,
        );
    }

    /**
     * A path of a machine and not of a site: a file address, a drive letter, a share, or reverse solidi (common
     * practice).
     */
    private function isLocal(string $written): bool
    {
        return preg_match('~^(?:file:|[A-Za-z]:|[A-Za-z]\|/|\\\\\\\\)~i', $written) === 1
            || (preg_match(
                '~^[A-Za-z][A-Za-z0-9+.-]*:~',
                $written,
            ) !== 1 && str_contains(strtok($written, '?#') ?: '', '\\'));
    }

    /** An address from which only the file's name is of use, and as many of the folders before it as the site has. */
    private function suggestFor(Resolution $resolution, string $written, string $from): Target
    {
        $segments = self::segmentsOf($written);
        for ($skip = 0; $skip < count($segments); $skip++) {
            $spelling = $this->site->spelling(implode('/', array_slice($segments, $skip)));
            if ($spelling !== null) {
                return new Target(
                    $resolution,
                    candidates: array_values(array_unique([$spelling, ...$this->candidates->for($spelling, $from)])),
                );
            }
        }

        return new Target(
            $resolution,
            candidates: $segments === [] ? [] : $this->candidates->for(implode('/', $segments), $from),
        );
    }

    /** @return list<string> the names in an address, whatever disk or folder it begins with */
    private static function segmentsOf(string $written): array
    {
        $path = PercentEncoding::decode(strtr(strtok($written, '?#') ?: '', '\\', '/'));
        $path = preg_replace('~^(?:file:)?/*(?:[A-Za-z][:|]/*)?~i', '', $path) ?? '';

        return array_values(
            array_filter(explode('/', $path), fn (string $segment) => ! in_array($segment, ['', '.', '..'], true)),
        );
    }

    /** Whether `..` leads above the root of the site on the way, which browsers quietly ignore on a server's root. */
    private function climbsOut(string $written, string $from): bool
    {
        if (! str_contains($written, '..') || preg_match('~^[A-Za-z][A-Za-z0-9+.-]*:~', $written) === 1) {
            return false;
        }
        $path = strtok($written, '?#') ?: '';
        $depth = str_starts_with($path, '/') ? 0 : substr_count($from, '/');
        foreach (array_slice(explode('/', $path), 0, -1) as $segment) {
            $depth += match ($segment) {
                '', '.' => 0, '..' => -1, default => 1,
            };
            if ($depth < 0) {
                return true;
            }
        }

        return str_ends_with($path, '/..') && $depth < 1;
    }
}

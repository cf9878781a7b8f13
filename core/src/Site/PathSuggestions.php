<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\NearestName;

/** Which files of a site an address that reaches none may mean. */
final class PathSuggestions
{
    /**
     * So many names are searched for by edit distance; a site with more broken addresses than that has other troubles.
     */
    private const MOST_SEARCHES = 200;

    /** @var array<string, string|null> nearest file names by name, as far as they were searched for */
    private array $nearest = [];

    public function __construct(private readonly Site $site)
    {
    }

    /**
     * @return list<string> the likeliest first: the same path in another letter case, the same name elsewhere, another
     *     extension, a slip of the hand
     */
    public function for(string $path, string $from): array
    {
        $found = array_filter([
            $this->site->spelling($path),
            ...self::byProximity($this->site->named(basename($path)), $path, $from),
            ...$this->withOtherExtension($path),
            ...$this->misspelt($path, $from),
        ], fn (?string $candidate) => $candidate !== null && $candidate !== $path);

        return array_slice(array_values(array_unique($found)), 0, 5);
    }

    /** @return list<string> */
    private function withOtherExtension(string $path): array
    {
        $bare = preg_replace('/\.[^.\/]*$/', '', $path) ?? $path;
        $others = match (strtolower(pathinfo($path, PATHINFO_EXTENSION))) {
            'htm' => ['html'], 'html' => ['htm'], '' => ['html', 'htm'],
            'jpg' => ['jpeg', 'png', 'gif', 'webp'], 'jpeg' => ['jpg', 'png'], 'png' => [
                'jpg', 'jpeg', 'gif', 'webp', 'svg',
            ], 'gif' => ['png', 'jpg'],
            default => [],
        };

        return array_values(
            array_filter(
                array_map(fn (string $extension) => $this->site->spelling("$bare.$extension"), $others),
                is_string(...),
            ),
        );
    }

    /** @return list<string> */
    private function misspelt(string $path, string $from): array
    {
        $name = basename($path);
        if (! array_key_exists($name, $this->nearest)) {
            if (count($this->nearest) >= self::MOST_SEARCHES) {
                return [];
            }
            $extension = strtolower(pathinfo($name, PATHINFO_EXTENSION));
            $alike = array_filter(
                $this->site->names(),
                fn (string $other) => $extension === '' || strtolower(
                    pathinfo($other, PATHINFO_EXTENSION),
                ) === $extension,
            );
            // The extension is no part of the word: "tide.html" and "side.html" are two letters of four apart, not of
            // nine.
            $bare = fn (string $one) => pathinfo($one, PATHINFO_FILENAME);
            $byStem = [];
            foreach ($alike as $other) {
                $byStem[$bare($other)] ??= $other;
            }
            $stem = NearestName::of($bare($name), array_map(strval(...), array_keys($byStem)));
            // One letter of four may be a slip of the hand; more of a short name is another name.
            $isNear = $stem !== null
                && NearestName::distance($bare($name), $stem, 3) <= max(1, intdiv(mb_strlen($bare($name)), 4));
            $this->nearest[$name] = $isNear ? $byStem[$stem] : null;
        }
        $nearest = $this->nearest[$name];

        return $nearest === null ? [] : self::byProximity($this->site->named($nearest), $path, $from);
    }

    /**
     * @param  list<string>  $paths
     * @return list<string> those with most folders in common with where the address points, or with where it stands,
     *     first
     */
    private static function byProximity(array $paths, string $path, string $from): array
    {
        $shared = fn (string $one) => max(self::sharedFolders($one, $path), self::sharedFolders($one, $from));
        usort(
            $paths,
            fn (string $a, string $b) => [
                $shared($b),
                substr_count($a, '/'),
                $a,
            ] <=> [$shared($a), substr_count($b, '/'), $b],
        );

        return $paths;
    }

    private static function sharedFolders(string $a, string $b): int
    {
        $shared = 0;
        $a = array_slice(explode('/', $a), 0, -1);
        $b = array_slice(explode('/', $b), 0, -1);
        while (isset($a[$shared], $b[$shared]) && $a[$shared] === $b[$shared]) {
            $shared++;
        }

        return $shared;
    }
}

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
    private const MAX_SEARCHES = 200;

    /** @var array<string, string|null> folders of nearly a name, by the path of the folder that is not there */
    private array $nearestFolders = [];

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
        $inFolder = $this->misspeltFolder($path);
        // Every folder has an index page: that of another folder is not what is meant.
        $isElsewhere = $inFolder === null || basename($path) !== Site::HOME;
        $found = array_filter([
            $this->site->spelling($path),
            $inFolder,
            ...($isElsewhere ? self::byProximity($this->site->named(basename($path)), $path, $from) : []),
            ...$this->withOtherExtension($path),
            ...($isElsewhere ? $this->misspelt($path, $from) : []),
        ], fn (?string $candidate) => $candidate !== null && $candidate !== $path && $candidate !== $from);

        return array_slice(array_values(array_unique($found)), 0, 5);
    }

    /** The same file in a folder of nearly that name. */
    private function misspeltFolder(string $path): ?string
    {
        $segments = explode('/', $path);
        $file = array_pop($segments);
        $above = '';
        foreach ($segments as $at => $folder) {
            if ($this->site->hasFolder($above.$folder)) {
                $above .= "$folder/";

                continue;
            }
            if (! array_key_exists($above.$folder, $this->nearestFolders)) {
                $this->nearestFolders[$above.$folder] = self::slipOf($folder, $this->foldersIn($above));
            }
            $near = $this->nearestFolders[$above.$folder];
            $meant = $near === null ? '' : $above.implode('/', [$near, ...array_slice($segments, $at + 1), $file]);

            return $this->site->file($meant) === null ? null : $meant;
        }

        return null;
    }

    /** @return list<string> the names of folders right inside a folder, which ends with a slash or is the root */
    private function foldersIn(string $above): array
    {
        $folders = [];
        foreach ($this->site->paths() as $path) {
            $rest = str_starts_with($path, $above) ? substr($path, strlen($above)) : '';
            if (str_contains($rest, '/')) {
                $folders[] = explode('/', $rest)[0];
            }
        }

        return array_values(array_unique($folders));
    }

    /**
     * The name that was meant where one letter of four is a slip of the hand. More of a short name is another name, and
     * so is another number: `lab3` is not `lab2`.
     *
     * @param  list<string>  $names
     */
    private static function slipOf(string $name, array $names): ?string
    {
        $numbers = preg_replace('/\D+/', ' ', $name) ?? '';
        $others = array_filter($names, function (string $other) use ($numbers): bool {
            $its = preg_replace('/\D+/', ' ', $other) ?? '';

            return trim($its) === '' || trim($numbers) === '' || trim($its) === trim($numbers);
        });
        $near = NearestName::of($name, $others);

        return $near !== null && NearestName::distance($name, $near, 3) <= max(1, intdiv(mb_strlen($name), 4))
            ? $near
            : null;
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
            if (count($this->nearest) >= self::MAX_SEARCHES) {
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
            $stem = self::slipOf($bare($name), array_map(strval(...), array_keys($byStem)));
            $this->nearest[$name] = $stem === null ? null : $byStem[$stem];
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

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\TextMap;

/**
 * Pages that a site should have, held against those that it has. A page with a wrong name is judged as the page that it
 * is meant to be: its name is one slip, and not the lack of a page.
 */
final readonly class ExpectedPages
{
    /**
     * @param  list<string>  $missing
     * @param  TextMap<string>  $standIns  what is there, by the path that it stands in for
     * @param  TextMap<string>  $names  what it should be called, by the path of what is there
     */
    private function __construct(public array $missing, private TextMap $standIns, private TextMap $names)
    {
    }

    /** @param  list<string>  $expected  paths, each once */
    public static function of(array $expected, ParsedSite $site): self
    {
        $known = TextMap::of($expected);
        $spare = array_values(array_filter($site->pagePaths(), fn (string $path) => ! $known->has($path)));
        /** @var TextMap<string> $standIns */
        $standIns = new TextMap;
        /** @var TextMap<string> $names */
        $names = new TextMap;
        $missing = [];
        foreach ($expected as $name) {
            if (isset($site->pages[$name]) || $site->isUnread($name)) {
                continue;
            }
            $there = self::standIn($name, $spare);
            if ($there === null) {
                $missing[] = $name;

                continue;
            }
            $standIns->put($name, $there);
            $names->put($there, $name);
            $spare = array_values(array_diff($spare, [$there]));
        }

        return new self($missing, $standIns, $names);
    }

    public function standInFor(string $name): ?string
    {
        return $this->standIns->get($name);
    }

    public function nameOf(string $path): ?string
    {
        return $this->names->get($path);
    }

    /**
     * The same name in other letters, in another folder, with words beside it ("new tides", "tides (1)"), or spelled
     * nearly so. Common practice.
     *
     * @param  list<string>  $spare  paths of pages that nobody asked for
     */
    private static function standIn(string $name, array $spare): ?string
    {
        $same = fn (string $path) => mb_strtolower($path) === mb_strtolower($name);
        $elsewhere = fn (string $path) => mb_strtolower(basename($path)) === mb_strtolower(basename($name));
        $word = '/(?<![\pL\d])'.preg_quote(pathinfo($name, PATHINFO_FILENAME), '/').'(?![\pL\d])/iu';
        $amongWords = fn (string $path) => dirname($path) === dirname($name)
            && preg_match($word, pathinfo($path, PATHINFO_FILENAME)) === 1;
        foreach ([$same, $elsewhere, $amongWords] as $isNear) {
            $near = array_values(array_filter($spare, $isNear));
            if (count($near) === 1) {
                return $near[0];
            }
        }

        return self::nearest($name, $spare);
    }

    /**
     * @param  list<string>  $spare
     * Page 7 is not page 9, however near their names are.
     */
    private static function nearest(string $name, array $spare): ?string
    {
        $alike = array_filter($spare, fn (string $path) => dirname($path) === dirname($name)
            && preg_replace('/\D/', '', $path) === preg_replace('/\D/', '', $name));
        $stems = array_map(fn (string $path) => pathinfo($path, PATHINFO_FILENAME), $alike);
        $at = array_search(NearestName::of(pathinfo($name, PATHINFO_FILENAME), $stems), $stems, true);

        return $at === false ? null : $alike[$at];
    }
}

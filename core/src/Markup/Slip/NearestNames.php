<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Source\NearestName;

/** Searches for near names, each made once, and so many on a page: one with more wrong names has other troubles. */
final class NearestNames
{
    private const MAX_SEARCHES = 200;

    /** @var array<string, string|null> */
    private array $found = [];

    /**
     * @param  list<string>  $names
     * @param  string  $among  tells lists of names apart
     */
    public function nearest(string $name, array $names, string $among): ?string
    {
        $key = "$among $name";
        if (! array_key_exists($key, $this->found)) {
            if (count($this->found) >= self::MAX_SEARCHES) {
                return null;
            }
            $this->found[$key] = NearestName::of($name, $names);
        }

        return $this->found[$key];
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Chance for a test: another each time, which `MARGIN_SEED=N` gives again. It says on the way which it was. */
final readonly class Seed
{
    private function __construct(public int $value, private Randomizer $random)
    {
    }

    public static function fresh(): self
    {
        $given = getenv('MARGIN_SEED');
        $value = is_string($given) && ctype_digit($given) ? (int) $given : random_int(1, 999_999_999);
        fwrite(STDERR, "\nseed $value: MARGIN_SEED=$value does the same again\n");

        return new self($value, new Randomizer(new Mt19937($value)));
    }

    public function number(int $least, int $most): int
    {
        return $this->random->getInt($least, $most);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $all
     * @return T
     */
    public function oneOf(array $all): mixed
    {
        return $all[$this->number(0, count($all) - 1)];
    }

    public function chance(int $percent): bool
    {
        return $this->number(1, 100) <= $percent;
    }
}

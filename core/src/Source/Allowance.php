<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/**
 * How much of something one check may use. It is counted in steps and not in seconds, so that a report depends on
 * nothing but what was checked.
 */
final class Allowance
{
    /** @param  string  $message  what is said when there is none left */
    public function __construct(private int $left, private readonly string $message)
    {
    }

    /** @throws OverLimit when there is not so much left, now and from then on */
    public function take(int $steps): void
    {
        $this->left = $this->left < $steps ? -1 : $this->left - $steps;
        if ($this->left < 0) {
            throw new OverLimit($this->message);
        }
    }
}

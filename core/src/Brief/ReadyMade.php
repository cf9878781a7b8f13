<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/** Requirements to begin from, in the words of those who ask for them. */
final readonly class ReadyMade
{
    /**
     * @param  string  $also  other words that find it
     * @param  array<string, mixed>  $values  all fields but the id
     */
    private function __construct(public string $words, public string $also, public array $values)
    {
    }

    /** @return list<self> in the order of a list to choose from */
    public static function all(): array
    {
        /** @var array<string, array<string, mixed>> $list */
        $list = require __DIR__.'/../../data/ready-made.php';
        $all = [];
        foreach ($list as $words => $values) {
            $also = $values['also'] ?? '';
            unset($values['also']);
            $all[] = new self($words, is_string($also) ? $also : '', $values);
        }

        return $all;
    }
}

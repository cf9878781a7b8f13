<?php

declare(strict_types=1);

namespace App\Search;

/** What is searched for: words, each of which may go on. */
final readonly class Words
{
    /** So many words are searched for. */
    private const MOST = 8;

    /** @param  list<string>  $words  in small letters, with letters, digits and marks alone */
    private function __construct(public array $words)
    {
    }

    public static function of(string $text): self
    {
        preg_match_all('/[\p{L}\p{M}\p{N}]+/u', mb_strtolower($text), $words);

        return new self(array_slice(array_values(array_unique($words[0])), 0, self::MOST));
    }

    public function areNone(): bool
    {
        return $this->words === [];
    }

    /** All of them, as PostgreSQL's `to_tsquery` takes them. */
    public function all(): string
    {
        return $this->joined(' & ');
    }

    /** Any of them. */
    public function any(): string
    {
        return $this->joined(' | ');
    }

    public function areIn(string $text): bool
    {
        foreach ($this->words as $word) {
            if (preg_match('/(?<![\p{L}\p{N}])'.preg_quote($word, '/').'/iu', $text) !== 1) {
                return false;
            }
        }

        return true;
    }

    private function joined(string $by): string
    {
        return implode($by, array_map(fn (string $word) => "'$word':*", $this->words));
    }
}

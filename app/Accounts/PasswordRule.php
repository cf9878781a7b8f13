<?php

declare(strict_types=1);

namespace App\Accounts;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A password that is long enough and not one of those that are tried first: the ten thousand commonest, and those made
 * of the person's own name or address (NIST SP 800-63B, section 5.1.1.2).
 */
final class PasswordRule implements DataAwareRule, ValidationRule
{
    public const LEAST = 10;

    /** Letters of a word of a name that a password must not be made of. */
    private const WORD = 4;

    /** Letters and digits that must be left without the person's words. */
    private const REST = 6;

    /** @var array<string, mixed> */
    private array $data = [];

    /**
     * @param  list<string|null>|Closure(): list<string|null>  $about  the person's name and address, where they are
     *     not sent along
     */
    public function __construct(private readonly array|Closure $about = [])
    {
    }

    /**
     * What a request asks of a new password.
     *
     * @param  list<string|null>|Closure(): list<string|null>  $about  as for the constructor
     * @return list<mixed>
     */
    public static function required(array|Closure $about = []): array
    {
        return ['required', 'string', 'max:200', new self($about)];
    }

    /** @param  array<string, mixed>  $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value)) {
            return;
        }
        if (mb_strlen($value) < self::LEAST) {
            $fail('A password has '.self::LEAST.' characters or more. Nothing was changed.');
        } elseif (CommonPasswords::has($value)) {
            $fail('Many people use this password, so it is guessed first. Choose another. Nothing was changed.');
        } elseif ($this->isAboutThem($value)) {
            $fail('A password must not be made of your name or address. Choose another. Nothing was changed.');
        }
    }

    private function isAboutThem(string $password): bool
    {
        $rest = self::plain($password);
        foreach ($this->words() as $word) {
            $rest = str_replace($word, '', $rest);
        }

        return $rest !== self::plain($password) && strlen($rest) < self::REST;
    }

    /** @return list<string> */
    private function words(): array
    {
        $about = $this->about instanceof Closure ? ($this->about)() : $this->about;
        $texts = [...$about, $this->data['name'] ?? null, $this->data['email'] ?? null];
        $words = [];
        foreach ($texts as $text) {
            $parts = is_string($text) ? preg_split('/[^\pL\pN]+/u', $text) ?: [] : [];
            array_push($words, ...array_map(self::plain(...), $parts));
        }
        $words = array_unique(array_filter($words, fn (string $word) => strlen($word) >= self::WORD));
        usort($words, fn (string $one, string $other) => strlen($other) <=> strlen($one));

        return $words;
    }

    private static function plain(string $text): string
    {
        return preg_replace('/[^\pL\pN]+/u', '', mb_strtolower($text)) ?? '';
    }
}

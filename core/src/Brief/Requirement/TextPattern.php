<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/**
 * What a text has to say: words in which `*` stands for any others, or a regular expression between slashes, such as
 * `/£\d+/`. Upper and lower case are one, and so is all white space, where it is no regular expression.
 */
final readonly class TextPattern
{
    /** An expression that goes back and forth more often than this on one text is given up. */
    private const MAX_STEPS = 100_000;

    /** Bytes of text that are looked at. */
    private const LONGEST = 200_000;

    /** No brief has a control character in it, so that nothing in a pattern can end it. */
    private const EDGE = "\x01";

    private function __construct(public string $written, private string $expression, private string $flags)
    {
    }

    /** @throws BriefError when it is no pattern */
    public static function read(string $written): self
    {
        if (preg_match('~^/(.+)/(i?)$~sD', $written, $parts) !== 1) {
            $words = array_map(fn (string $word) => preg_quote($word), preg_split('/\s+/u', trim($written)) ?: []);

            return new self($written, str_replace('\*', '.*?', implode('\s+', $words)), 'uis');
        }
        $pattern = new self($written, $parts[1], "u$parts[2]");
        set_error_handler(fn () => true);
        try {
            $isSound = preg_match($pattern->whole(false), '') !== false;
        } finally {
            restore_error_handler();
        }

        return $isSound
            ? $pattern
            : throw new BriefError(["`$written` is no regular expression".self::reason()]);
    }

    /** @return bool|null null when it cannot be told in a bounded time */
    public function isIn(string $text): ?bool
    {
        return $this->test($text, false);
    }

    /** Whether it is the whole text. */
    public function is(string $text): ?bool
    {
        return $this->test($text, true);
    }

    private function test(string $text, bool $whole): ?bool
    {
        $found = preg_match($this->whole($whole), mb_strcut($text, 0, self::LONGEST));

        return $found === false ? null : $found === 1;
    }

    private function whole(bool $whole): string
    {
        $body = $whole ? "\\A(?:$this->expression)\\z" : "(?:$this->expression)";

        // Without just-in-time code the limit holds for all of the match.
        return self::EDGE.'(*NO_JIT)(*LIMIT_MATCH='.self::MAX_STEPS.')'.$body.self::EDGE.$this->flags;
    }

    private static function reason(): string
    {
        $last = preg_last_error_msg();

        return $last === 'Internal error' || $last === 'No error' ? '' : ": $last";
    }
}

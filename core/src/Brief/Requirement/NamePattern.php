<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** A pattern for a name: `*` stands for any characters, `{student.handle}` for what the school calls the student. */
final readonly class NamePattern
{
    /** For the handle, when no student in particular is meant. */
    public const STAND_IN = 'HANDLE';

    private const HANDLE = '{student.handle}';

    public function __construct(public string $written)
    {
    }

    /** @param  string|null  $handle  null when it is not known: then anything may stand there */
    public function matches(string $name, ?string $handle = null): bool
    {
        $pattern = strtr(preg_quote($this->written, '~'), [
            preg_quote(self::HANDLE, '~') => $handle === null ? '[^/]+' : preg_quote($handle, '~'),
            '\*' => '[^/]*',
        ]);

        return preg_match("~^$pattern\$~uD", $name) === 1;
    }

    /** As the student should read it: with their own handle, or with words for it. */
    public function for(?string $handle): string
    {
        return str_replace(self::HANDLE, $handle ?? 'your-name', $this->written);
    }
}

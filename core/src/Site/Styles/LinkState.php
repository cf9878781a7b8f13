<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

/**
 * What a reader does with a link, or has done, while it looks otherwise. Being pressed lasts too short a time to read
 * it.
 */
enum LinkState: string
{
    case Visited = 'visited';
    case Hover = 'hover';
    case Focus = 'focus';

    /**
     * The pseudo-classes that hold then (Selectors Level 4, section 9; what a keyboard comes to is `:focus-visible`
     * too).
     *
     * @return list<string>
     */
    public function pseudoClasses(): array
    {
        return $this === self::Focus ? ['focus', 'focus-visible', 'focus-within'] : [$this->value];
    }

    /** How a selector says that it is about it: of a visited link also by what it says of those that are not. */
    public function isSpokenOfIn(string $selector): bool
    {
        return preg_match($this === self::Visited ? '/:(?:visited|link)\b/i' : "/:$this->value\\b/i", $selector) === 1;
    }

    /** As the subject of a sentence. */
    public function subject(): string
    {
        return match ($this) {
            self::Visited => 'A link that was visited',
            self::Hover => 'A link under the pointer',
            self::Focus => 'A link that has the focus',
        };
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

/** What can be left over on a page that began as a copy of another, the plainest sign first. */
enum LeftoverKind: string
{
    case Title = 'title';
    case Heading = 'main heading';
    case Picture = 'picture';
    case AltText = 'alt text';
    case Paragraph = 'paragraph';
    case Section = 'heading';
    case Description = 'description';

    /** How early it is named, 0 for the first. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}

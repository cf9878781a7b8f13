<?php

declare(strict_types=1);

namespace App\Replies;

use Parsedown;

/** Markdown that an instructor wrote, as HTML without raw tags, scripts, pictures or unsafe addresses. */
final readonly class SafeMarkdown
{
    public static function html(string $markdown): string
    {
        return SafeHtml::of((new Parsedown)->setSafeMode(true)->setBreaksEnabled(true)->text($markdown));
    }
}

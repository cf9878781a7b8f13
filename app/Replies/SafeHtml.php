<?php

declare(strict_types=1);

namespace App\Replies;

use Symfony\Component\HtmlSanitizer\HtmlSanitizer;
use Symfony\Component\HtmlSanitizer\HtmlSanitizerConfig;

/**
 * HTML that was stored, without anything that Markdown could not have made: a stored reply may have come with records
 * that somebody wrote by hand.
 */
final readonly class SafeHtml
{
    /** Characters of one remark. */
    private const LONGEST = 200_000;

    private const ELEMENTS = [
        'p', 'br', 'strong', 'em', 'del', 'pre', 'ul', 'li', 'blockquote', 'hr', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6',
        'table', 'thead', 'tbody', 'tr', 'th', 'td',
    ];

    public static function of(string $html): string
    {
        return once(fn () => self::sanitizer())->sanitize($html);
    }

    private static function sanitizer(): HtmlSanitizer
    {
        $config = (new HtmlSanitizerConfig)
            ->withMaxInputLength(self::LONGEST)
            ->allowElement('a', ['href', 'title'])->allowLinkSchemes(['http', 'https', 'mailto'])
            ->allowElement('code', 'class')->allowElement('ol', 'start');
        foreach (self::ELEMENTS as $element) {
            $config = $config->allowElement($element);
        }

        return new HtmlSanitizer($config);
    }
}

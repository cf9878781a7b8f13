<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Map;

use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\ReferenceKind;

/**
 * Pages that no menu leads to and no pattern has a place for: for mistakes, for thanks, for logging in, for sending
 * readers on. Common practice.
 */
final readonly class SpecialPage
{
    private const NAMES = '/^(?:40[0-9]|50[0-9]|error|not-?found|offline|thanks?|thank-?you|success|sent|confirm(?:ation|ed)?|log-?in|sign-?in|sign-?up|register|forgot(?:ten)?|password|reset|recover|checkout|splash|google[0-9a-f]+|print)(?:[-_].*)?$/i';

    /** A page that sends its readers on to another address. */
    public static function isRedirect(Page $page): bool
    {
        foreach ($page->references as $reference) {
            if ($reference->kind === ReferenceKind::Refresh) {
                return true;
            }
        }

        return false;
    }

    public static function is(string $path, ParsedSite $site): bool
    {
        $page = $site->page($path);
        if (preg_match(
            self::NAMES,
            pathinfo($path, PATHINFO_FILENAME),
        ) === 1 || ($page !== null && self::isRedirect($page))) {
            return true;
        }
        // A page that a form alone leads to.
        $links = $site->fact(LinkMap::class)->linkedFrom($path);
        foreach ($links > 0 ? [] : $site->referencesTo($path) as $reference) {
            if ($reference->kind === ReferenceKind::Form || $reference->kind === ReferenceKind::Embedded) {
                return true;
            }
        }

        return false;
    }
}

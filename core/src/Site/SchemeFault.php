<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\NearestName;

/**
 * What is wrong with an address that begins with a scheme: an e-mail address (RFC 6068) or a telephone number (RFC
 * 3966) that is none, a scheme that nobody knows and that is near one, and a scheme that is written twice.
 */
final readonly class SchemeFault
{
    /** Schemes that are registered or in wide use (IANA, Uniform Resource Identifier Schemes; from memory). */
    private const KNOWN = [
        'http', 'https', 'mailto', 'tel', 'sms', 'ftp', 'ftps', 'sftp', 'file', 'data', 'javascript', 'blob', 'about',
        'ws', 'wss', 'geo', 'maps', 'market', 'irc', 'ircs', 'magnet', 'urn', 'news', 'nntp', 'xmpp', 'sip', 'sips',
        'skype', 'whatsapp', 'tg', 'viber', 'facetime', 'facetime-audio', 'webcal', 'callto', 'fax', 'ssh', 'git',
        'view-source', 'chrome', 'intent', 'steam', 'spotify', 'zoommtg', 'msteams', 'slack', 'discord', 'signal',
        'bitcoin', 'ethereum', 'matrix', 'feed', 'acct', 'ldap', 'doi', 'cid', 'mid', 'vnc', 'rtsp', 'gopher', 'gemini',
        'android-app', 'ios-app', 'itms', 'itms-apps', 'mms', 'tip', 'telnet', 'wais', 'dns', 'tag', 'payto',
    ];

    /** Schemes of which beginners' pages have slips. */
    private const USUAL = ['https', 'http', 'mailto', 'tel', 'ftp'];

    /** Words for a scheme, further from it than a slip of the hand (common practice). */
    private const MEANT = [
        'mail' => 'mailto', 'mail-to' => 'mailto', 'email' => 'mailto', 'e-mail' => 'mailto', 'emailto' => 'mailto',
        'phone' => 'tel', 'telephone' => 'tel', 'call' => 'tel', 'telto' => 'tel', 'mobile' => 'tel',
        'web' => 'https', 'url' => 'https',
    ];

    public function __construct(public string $variant, public string $message, public ?string $mended = null)
    {
    }

    /** @return self|null null where nothing is wrong, or the address begins with no scheme */
    public static function in(string $written): ?self
    {
        if (preg_match('~^([a-z][a-z0-9+.-]+)\s*:(.*)$~is', trim($written), $parts) !== 1) {
            return null;
        }
        $scheme = strtolower($parts[1]);
        $rest = $parts[2];

        return match (true) {
            self::isTwice($rest) => self::twice($written, $rest),
            $scheme === 'mailto' => self::mail($rest),
            $scheme === 'tel' => self::telephone($rest),
            in_array($scheme, self::KNOWN, true) => null,
            default => self::unknown($scheme, $rest),
        };
    }

    private static function isTwice(string $rest): bool
    {
        return preg_match('~^/{0,3}(?:https?|ftp|mailto|tel)(?::|//)~i', $rest) === 1;
    }

    private static function twice(string $written, string $rest): self
    {
        $mended = preg_replace('~^([a-z]+):?/*~i', '$1://', ltrim($rest, '/')) ?? $rest;
        $isWeb = preg_match('~^(?:https?|ftp)~i', $mended) === 1;

        return new self(
            'twice',
            "`$written` begins with a scheme twice, so it leads to no site.",
            $isWeb ? $mended : ltrim($rest, '/'),
        );
    }

    private static function mail(string $rest): ?self
    {
        $to = explode('?', $rest)[0];
        $query = str_contains($rest, '?') ? substr($rest, strlen($to) + 1) : null;
        $hasReceiver = preg_match('/(?:^|&)(?:to|bcc|cc)=[^&]/i', $query ?? '') === 1;
        $end = $query === null ? '' : "?$query";
        $plain = trim($to, " \t\n/");
        // Mail programs decode what is behind the colon.
        $decoded = rawurldecode($plain);
        $isAddress = fn (string $one) => preg_match('/^[^\s@,;<>\/]+@[^\s@,;<>\/]+$/D', $one) === 1;
        $areAddresses = array_filter(explode(',', $decoded), $isAddress) === explode(',', $decoded);

        return match (true) {
            $to === '' && ($hasReceiver || $query !== null) => null,
            $plain === '' => new self('mail', '`mailto:` has no e-mail address behind it.'),
            $areAddresses && $to === $plain => null,
            $areAddresses && str_starts_with($to, '//') => new self(
                'mail',
                'There are no slashes after `mailto:`: with them, mail programs get a wrong address.',
                "mailto:$plain$end",
            ),
            $areAddresses => new self(
                'mail',
                'There is a space in this e-mail address, which mail programs take for a part of it.',
                "mailto:$plain$end",
            ),
            default => new self('mail', "`$plain` is not an e-mail address."),
        };
    }

    private static function telephone(string $rest): ?self
    {
        $number = explode(';', $rest)[0];
        $plain = trim($number, " \t\n/");
        $isNumber = preg_match('/^\+?[\d().*#-]*\d[\d().*#-]*$/D', $plain) === 1;
        $dialled = preg_replace('/[\s\x{a0}]+/u', '', $plain) ?? $plain;

        return match (true) {
            $isNumber && $number === $plain => null,
            $plain === '' => new self('telephone', '`tel:` has no telephone number behind it.'),
            $isNumber && str_starts_with($number, '//') => new self(
                'telephone',
                'There are no slashes after `tel:`.',
                "tel:$plain",
            ),
            preg_match('/^\+?[\d().*#-]+$/D', $dialled) === 1 => new self(
                'telephone',
                'A telephone number in an address has no spaces.',
                "tel:$dialled",
            ),
            default => new self('telephone', "`$plain` is not a telephone number."),
        };
    }

    private static function unknown(string $scheme, string $rest): ?self
    {
        $meant = self::MEANT[$scheme] ?? NearestName::of($scheme, self::USUAL);
        // A file may have a colon in its name.
        $isPlain = $meant !== null && ($rest !== '' && preg_match('~^//|@|^[+\d]~', $rest) === 1);
        if (! $isPlain) {
            return null;
        }
        $isWeb = in_array($meant, ['http', 'https', 'ftp'], true);

        return new self(
            'near',
            "Browsers do not know the scheme `$scheme:`, so this link does nothing.",
            $meant.($isWeb ? '://'.ltrim($rest, '/') : ':'.ltrim($rest, '/')),
        );
    }
}

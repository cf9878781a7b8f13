<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Url;

use InkedMargin\Core\Source\Span;

/** The host parser of the URL Standard, 3.5, with its parsers of IP addresses; gives a host as it is serialised. */
final readonly class HostParser
{
    private const FORBIDDEN = '~[\x00\t\n\r #/:<>?@\[\\\\\]^|]~';

    private const FORBIDDEN_IN_DOMAIN = '~[\x00-\x20#%/:<>?@\[\\\\\]^|\x7f]~';

    /**
     * What IDNA calls an error and the standard lets pass: hyphens, and lengths that only name servers mind (3.3,
     * "domain to ASCII", not strict).
     */
    private const TOLERATED = IDNA_ERROR_EMPTY_LABEL | IDNA_ERROR_LABEL_TOO_LONG | IDNA_ERROR_DOMAIN_NAME_TOO_LONG
        | IDNA_ERROR_LEADING_HYPHEN | IDNA_ERROR_TRAILING_HYPHEN | IDNA_ERROR_HYPHEN_3_4;

    /** @throws UrlError */
    public static function parse(string $text, bool $isOpaque): string
    {
        if (str_starts_with($text, '[')) {
            return str_ends_with($text, ']')
                ? '['.self::ipv6(substr($text, 1, -1)).']'
                : throw new UrlError(UrlProblem::Ipv6);
        }
        if ($isOpaque) {
            return preg_match(self::FORBIDDEN, $text) === 1
                ? throw new UrlError(UrlProblem::HostInvalidCodePoint)
                : PercentEncoding::encode($text, PercentEncoding::CONTROL);
        }
        $domain = self::toAscii(mb_scrub(PercentEncoding::decode($text), 'UTF-8'));
        if ($domain === '') {
            throw new UrlError(UrlProblem::DomainToAscii);
        }
        if (preg_match(self::FORBIDDEN_IN_DOMAIN, $domain) === 1) {
            throw new UrlError(UrlProblem::DomainInvalidCodePoint);
        }

        return self::endsInNumber($domain) ? self::ipv4($domain) : $domain;
    }

    /** 3.3, "domain to ASCII". */
    private static function toAscii(string $domain): string
    {
        if (preg_match('/^[\x00-\x7f]*$/D', $domain) === 1 && preg_match('/(?:^|\.)xn--/i', $domain) !== 1) {
            return strtolower($domain);
        }
        idn_to_ascii(
            $domain,
            IDNA_CHECK_BIDI | IDNA_CHECK_CONTEXTJ | IDNA_NONTRANSITIONAL_TO_ASCII,
            INTL_IDNA_VARIANT_UTS46,
            $told,
        );
        /** @var array{result?: string, errors?: int} $told  left empty for a name that is too long for it */
        if (! isset($told['result']) || (($told['errors'] ?? 0) & ~self::TOLERATED) !== 0) {
            throw new UrlError(UrlProblem::DomainToAscii);
        }

        return $told['result'];
    }

    /** 3.5, "ends-in-a-number checker". */
    private static function endsInNumber(string $domain): bool
    {
        $labels = explode('.', $domain);
        if (end($labels) === '' && count($labels) > 1) {
            array_pop($labels);
        }
        $last = (string) end($labels);

        return ctype_digit($last) || self::number($last) !== null;
    }

    /** 3.5, "IPv4 parser". */
    private static function ipv4(string $text): string
    {
        $parts = explode('.', $text);
        if (end($parts) === '' && count($parts) > 1) {
            array_pop($parts);
        }
        $numbers = array_map(self::number(...), $parts);
        $last = array_pop($numbers);
        $isTooLarge = array_filter($numbers, fn (?float $number) => $number > 255) !== []
            || $last >= 256 ** (4 - count($numbers));
        if (count($numbers) > 3 || $last === null || in_array(null, $numbers, true) || $isTooLarge) {
            throw new UrlError(UrlProblem::Ipv4);
        }
        $sum = (int) $last;
        foreach ($numbers as $place => $number) {
            $sum += (int) $number * 256 ** (3 - $place);
        }

        return implode('.', [$sum >> 24 & 255, $sum >> 16 & 255, $sum >> 8 & 255, $sum & 255]);
    }

    /** 3.5, "IPv4 number parser": decimal, octal or hexadecimal; null when it is no number. */
    private static function number(string $text): ?float
    {
        return match (true) {
            preg_match('/^0[xX]([0-9a-fA-F]*)$/D', $text, $hex) === 1 => (float) hexdec($hex[1]),
            preg_match('/^0[0-7]+$/D', $text) === 1 => (float) octdec($text),
            preg_match('/^(?:0|[1-9]\d*)$/D', $text) === 1 => (float) $text,
            default => null,
        };
    }

    /** 3.5, "IPv6 parser", and the serializer's compressed form. */
    private static function ipv6(string $text): string
    {
        $packed = preg_match('/^[0-9a-fA-F:.]+$/D', $text) === 1 && preg_match('/\.0\d|:0[0-9a-fA-F]{4}/', $text) === 0
            ? @inet_pton($text)
            : false;
        if ($packed === false || strlen($packed) !== 16) {
            throw new UrlError(UrlProblem::Ipv6);
        }
        /** @var array<int, int> $pieces */
        $pieces = array_values((array) unpack('n8', $packed));
        $zeros = self::longestRunOfZeros($pieces);
        $hex = array_map(dechex(...), $pieces);

        return $zeros->length() < 2
            ? implode(':', $hex)
            : implode(':', array_slice($hex, 0, $zeros->start)).'::'.implode(':', array_slice($hex, $zeros->end));
    }

    /**
     * @param  array<int, int>  $pieces
     * @return Span the first of the longest runs, in pieces
     */
    private static function longestRunOfZeros(array $pieces): Span
    {
        $best = Span::at(0);
        $length = 0;
        foreach ($pieces as $index => $piece) {
            $length = $piece === 0 ? $length + 1 : 0;
            if ($length > $best->length()) {
                $best = new Span($index - $length + 1, $index + 1);
            }
        }

        return $best;
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** A slip of the hand in how an address is written. */
enum AddressSlip: string
{
    /** `htp://`, `http:/` or `https//` */
    case Scheme = 'scheme';
    /** an e-mail address without `mailto:` */
    case Mail = 'mail';
    /** a telephone number without `tel:` */
    case Telephone = 'telephone';
    /** a space before or after it */
    case SpaceAround = 'space-around';

    /** What it was meant to be. */
    public function mended(string $written): string
    {
        $plain = trim($written, " \t\n\f\r");

        return match ($this) {
            self::Scheme => preg_replace_callback(
                '~^[a-z]+\s*[:;]?/*~i',
                fn (array $scheme) => (stripos($scheme[0], 's') === false ? 'http' : 'https').'://',
                $plain,
            ) ?? $plain,
            self::Mail => "mailto:$plain",
            self::Telephone => 'tel:'.(preg_replace('/[^+\d]/', '', $plain) ?? ''),
            self::SpaceAround => $plain,
        };
    }

    /** The slip in an address as it was written; null when there is none. */
    public static function in(string $written): ?self
    {
        $plain = trim($written, " \t\n\f\r");

        return match (true) {
            preg_match(
                '~^(?!https?://)(?:h{1,2}t{1,3}p{1,2}s{0,2}|htps?|hpt{1,2}ps?|ttps?|htts?|hhtps?|htpps?)\s*(?:[:;]\s*/{0,3}|/{2,3})(?=[^/\\\\\s])~i',
                $plain,
            ) === 1 => self::Scheme,
            // Pictures for screens with more pixels are called `gull@2x.png`.
            preg_match('~^[a-z0-9._%+-]+@(?!\d+x\.)[a-z0-9-]+(?:\.[a-z0-9-]+)*\.[a-z]{2,}$~i', $plain) === 1 => self::Mail,
            preg_match('~^\+?[\d][\d\s()/.-]{5,}\d$~', $plain) === 1
                && ! str_contains($plain, '..')
                && preg_match('~\d/\d|^\d+\.\d+$~', $plain) !== 1 => self::Telephone,
            $plain !== $written && $plain !== '' => self::SpaceAround,
            default => null,
        };
    }
}

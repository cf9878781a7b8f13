<?php

declare(strict_types=1);

namespace App\Sites;

/**
 * The right to see one site's files for a while, in the address itself: student pages are shown without a session.
 */
final readonly class SeenToken
{
    /** In place of a sheet's path: the page's own styles, or none. */
    public const OWN = 'own';

    public const NONE = 'none';

    /**
     * @param  string  $styles  `own`, `none`, or `sheet:` or `given:` and the path of a stylesheet, of the site or
     *     of those that the assignment gives, that is used in place of the page's own
     */
    private function __construct(public SitePlace $place, public bool $scripts, public string $styles)
    {
    }

    public static function issue(SitePlace $place, bool $scripts, string $styles = self::OWN): string
    {
        $until = now()->addMinutes(config()->integer('margin.seen_minutes'))->getTimestamp();
        $claim = implode('.', [bin2hex($place->written()), $scripts ? '1' : '0', bin2hex($styles), $until]);

        return $claim.'.'.self::seal($claim);
    }

    /** What the token allows, or null when it is false or has run out. */
    public static function open(string $token): ?self
    {
        $parts = explode('.', $token);
        if (count($parts) !== 5) {
            return null;
        }
        [$place, $scripts, $styles, $until, $seal] = $parts;
        if (
            ! hash_equals(self::seal("$place.$scripts.$styles.$until"), $seal)
            || (int) $until < now()->getTimestamp()
        ) {
            return null;
        }

        return new self(SitePlace::read((string) hex2bin($place)), $scripts === '1', (string) hex2bin($styles));
    }

    /** The stylesheet of the site that is used in place of the page's own; null where none is. */
    public function sheet(): ?string
    {
        return self::after('sheet:', $this->styles);
    }

    /** The given stylesheet that is; null where none is. */
    public function givenSheet(): ?string
    {
        return self::after('given:', $this->styles);
    }

    private static function after(string $word, string $styles): ?string
    {
        return str_starts_with($styles, $word) ? substr($styles, strlen($word)) : null;
    }

    private static function seal(string $claim): string
    {
        return hash_hmac('sha256', 'seen:'.$claim, config()->string('app.key'));
    }
}

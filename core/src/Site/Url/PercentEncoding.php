<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Url;

/** Percent-encoding (URL Standard, 1.3): which bytes of a part are written as `%` and two hexadecimal digits. */
final readonly class PercentEncoding
{
    public const CONTROL = '/[\x00-\x1f\x7f-\xff]/';

    public const FRAGMENT = '/[\x00-\x20"<>`\x7f-\xff]/';

    public const QUERY = '/[\x00-\x20"#<>\x7f-\xff]/';

    public const SPECIAL_QUERY = '/[\x00-\x20"#\'<>\x7f-\xff]/';

    public const PATH = '/[\x00-\x20"#<>?^`{}\x7f-\xff]/';

    public const USERINFO = '/[\x00-\x20"#\/:;<=>?@\[-^`{|}\x7f-\xff]/';

    /** @param  string  $set  one of the constants */
    public static function encode(string $bytes, string $set): string
    {
        return preg_replace_callback($set, fn (array $byte) => sprintf('%%%02X', ord($byte[0])), $bytes) ?? '';
    }

    public static function decode(string $text): string
    {
        return rawurldecode($text);
    }
}

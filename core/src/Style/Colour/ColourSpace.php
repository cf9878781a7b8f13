<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Colour;

/**
 * From the colour spaces of CSS to sRGB. Source: CSS Color Level 4, section 17 "Sample code for color conversions", and
 * for hsl and hwb sections 7.1 and 8.1. What is outside of sRGB is cut off at its borders, as screens do.
 */
final class ColourSpace
{
    private const D50_TO_D65 = [
        [0.955473421488075, -0.02309845494876471, 0.06325924320057072],
        [-0.0283697093338637, 1.0099953980813041, 0.021041441191917323],
        [0.012314014864481998, -0.020507649298898964, 1.330365926242124],
    ];

    private const XYZ_TO_SRGB = [
        [3.2409699419045226, -1.537383177570094, -0.4986107602930034],
        [-0.9692436362808796, 1.8759675015077202, 0.04155505740717559],
        [0.05563007969699366, -0.20397695888897652, 1.0569715142428786],
    ];

    /** By the name of the space: to XYZ, which is of D50 for `prophoto-rgb` and of D65 for the others. */
    private const TO_XYZ = [
        'display-p3' => [
            [0.4865709486482162, 0.26566769316909306, 0.1982172852343625],
            [0.2289745640697488, 0.6917385218365064, 0.079286914093745],
            [0.0, 0.04511338185890264, 1.043944368900976],
        ],
        'a98-rgb' => [
            [0.5766690429101305, 0.1855582379065463, 0.1882286462349947],
            [0.29734497525053605, 0.6273635662554661, 0.07529145849399788],
            [0.02703136138641234, 0.07068885253582723, 0.9913375368376388],
        ],
        'prophoto-rgb' => [
            [0.7977666449006423, 0.13518129740053308, 0.0313477341283922],
            [0.2880748288194013, 0.711835234241873, 0.00008993693872564],
            [0.0, 0.0, 0.8251046025104602],
        ],
        'rec2020' => [
            [0.6369580483012914, 0.14461690358620832, 0.1688809751641721],
            [0.2627002120112671, 0.6779980715188708, 0.05930171646986196],
            [0.0, 0.028072693049087428, 1.0609850577107909],
        ],
    ];

    private const OKLAB_TO_LMS = [
        [1.0, 0.3963377773761749, 0.2158037573099136],
        [1.0, -0.1055613458156586, -0.0638541728258133],
        [1.0, -0.0894841775298119, -1.2914855480194092],
    ];

    private const LMS_TO_XYZ = [
        [1.2268798758459243, -0.5578149944602171, 0.2813910456659647],
        [-0.0405757452148008, 1.112286803280317, -0.0717110580655164],
        [-0.0763729366746601, -0.4214933324022432, 1.5869240198367816],
    ];

    /** @param  float  $hue  degrees; the others from 0 to 1 */
    public static function hsl(float $hue, float $saturation, float $lightness, float $alpha): Colour
    {
        $part = function (int $n) use ($hue, $saturation, $lightness): float {
            $k = fmod($n + self::turn($hue) / 30, 12);
            $a = $saturation * min($lightness, 1 - $lightness);

            return $lightness - $a * max(-1, min($k - 3, 9 - $k, 1));
        };

        return self::cut([$part(0), $part(8), $part(4)], $alpha);
    }

    /** @param  float  $hue  degrees; the others from 0 to 1 */
    public static function hwb(float $hue, float $white, float $black, float $alpha): Colour
    {
        if ($white + $black >= 1) {
            $grey = $white / ($white + $black);

            return new Colour($grey, $grey, $grey, $alpha);
        }
        $pure = self::hsl($hue, 1, 0.5, 1);
        $mix = fn (float $part) => $part * (1 - $white - $black) + $white;

        return self::cut([$mix($pure->red), $mix($pure->green), $mix($pure->blue)], $alpha);
    }

    /** @param  float  $lightness  from 0 to 100 */
    public static function lab(float $lightness, float $a, float $b, float $alpha): Colour
    {
        $f1 = ($lightness + 16) / 116;
        $f0 = $a / 500 + $f1;
        $f2 = $f1 - $b / 200;
        $kappa = 24389 / 27;
        $epsilon = 216 / 24389;
        $inverse = fn (float $f) => $f ** 3 > $epsilon ? $f ** 3 : (116 * $f - 16) / $kappa;
        $y = $lightness > $kappa * $epsilon ? (($lightness + 16) / 116) ** 3 : $lightness / $kappa;

        return self::xyzD50([
            $inverse($f0) * 0.3457 / 0.3585,
            $y,
            $inverse($f2) * (1.0 - 0.3457 - 0.3585) / 0.3585,
        ], $alpha);
    }

    /** @param  float  $hue in degrees */
    public static function lch(float $lightness, float $chroma, float $hue, float $alpha): Colour
    {
        return self::lab($lightness, $chroma * cos(deg2rad($hue)), $chroma * sin(deg2rad($hue)), $alpha);
    }

    /** @param  float  $hue in degrees */
    public static function oklch(float $lightness, float $chroma, float $hue, float $alpha): Colour
    {
        return self::oklab($lightness, $chroma * cos(deg2rad($hue)), $chroma * sin(deg2rad($hue)), $alpha);
    }

    /** @param  float  $lightness  from 0 to 1 */
    public static function oklab(float $lightness, float $a, float $b, float $alpha): Colour
    {
        $lms = array_map(fn (float $part) => $part ** 3, self::times(self::OKLAB_TO_LMS, [$lightness, $a, $b]));

        return self::xyz(self::times(self::LMS_TO_XYZ, $lms), $alpha);
    }

    /**
     * `color()`.
     *
     * @param  array{float, float, float}  $parts
     * @return Colour|null null for a space that there is not
     */
    public static function named(string $space, array $parts, float $alpha): ?Colour
    {
        $signed = fn (\Closure $curve) => array_map(
            fn (float $part) => ($part < 0 ? -1 : 1) * $curve(abs($part)),
            $parts,
        );

        return match ($space) {
            'srgb' => self::cut($parts, $alpha),
            'srgb-linear' => self::fromLinear($parts, $alpha),
            'xyz', 'xyz-d65' => self::xyz($parts, $alpha),
            'xyz-d50' => self::xyzD50($parts, $alpha),
            'display-p3' => self::xyz(self::times(self::TO_XYZ[$space], $signed(self::linear(...))), $alpha),
            'a98-rgb' => self::xyz(
                self::times(self::TO_XYZ[$space], $signed(fn (float $part) => $part ** (563 / 256))),
                $alpha,
            ),
            'prophoto-rgb' => self::xyzD50(
                self::times(self::TO_XYZ[$space], $signed(
                    fn (float $part) => $part <= 16 / 512 ? $part / 16 : $part ** 1.8,
                )),
                $alpha,
            ),
            'rec2020' => self::xyz(self::times(self::TO_XYZ[$space], $signed(
                fn (float $part) => $part < 0.018053968510807 * 4.5
                    ? $part / 4.5
                    : (($part + 0.09929682680944) / 1.09929682680944) ** (1 / 0.45),
            )), $alpha),
            default => null,
        };
    }

    /** @param  array{float, float, float}  $xyz */
    private static function xyzD50(array $xyz, float $alpha): Colour
    {
        return self::xyz(self::times(self::D50_TO_D65, $xyz), $alpha);
    }

    /** @param  array{float, float, float}  $xyz  of D65 */
    private static function xyz(array $xyz, float $alpha): Colour
    {
        return self::fromLinear(self::times(self::XYZ_TO_SRGB, $xyz), $alpha);
    }

    /** @param  array{float, float, float}  $linear */
    private static function fromLinear(array $linear, float $alpha): Colour
    {
        $curve = fn (float $part) => $part <= 0.0031308 ? 12.92 * $part : 1.055 * $part ** (1 / 2.4) - 0.055;

        return self::cut([$curve($linear[0]), $curve($linear[1]), $curve($linear[2])], $alpha);
    }

    private static function linear(float $part): float
    {
        return $part <= 0.04045 ? $part / 12.92 : (($part + 0.055) / 1.055) ** 2.4;
    }

    /** @param  array{float, float, float}  $parts */
    private static function cut(array $parts, float $alpha): Colour
    {
        $within = fn (float $part) => max(0.0, min(1.0, $part));

        return new Colour($within($parts[0]), $within($parts[1]), $within($parts[2]), $within($alpha));
    }

    private static function turn(float $degrees): float
    {
        return fmod(fmod($degrees, 360) + 360, 360);
    }

    /**
     * @param  list<array{float, float, float}>  $matrix  three rows
     * @param  array{float, float, float}  $vector
     * @return array{float, float, float}
     */
    private static function times(array $matrix, array $vector): array
    {
        $row = fn (int $n) => $matrix[$n][0] * $vector[0] + $matrix[$n][1] * $vector[1] + $matrix[$n][2] * $vector[2];

        return [$row(0), $row(1), $row(2)];
    }
}

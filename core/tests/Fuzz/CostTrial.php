<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Fuzz;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Report\JsonReport;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Tests\Samples;

/**
 * A small input that is repeated more and more often. What a check costs must grow as the input does, and stay within
 * what a hand-in may cost until it is refused as too large.
 */
final readonly class CostTrial
{
    /** The cost may grow with this power of the size. */
    public const EXPONENT = 1.3;

    /** Seconds that a check may take on a machine of the size that the limits are made for, and bytes. */
    public const SECONDS = 20.0;

    public const BYTES = 384_000_000;

    private const SIZES = [500, 2_000, 8_000, 32_000, 128_000, 512_000];

    /** Seconds and bytes below which an exponent says nothing. */
    private const LEAST_SECONDS = 1.0;

    private const LEAST_BYTES = 20_000_000;

    private const MARKUP = [
        '<p>', '</p>', '<div>', '</div>', '<b>', '</b>', '<i id=%d>', '</i>', '<a href=x%d.html>', '<a href="#k%d">', '</a>',
        '<table>', '<tr>', '<td>', '</td>', '</table>', '<select>', '<option>', '<optgroup>', '</select>', '<ul>', '<li>',
        '</ul>', '<dl>', '<dt>', '<dd>', '<h1>', '</h2>', '<img src="x%d.png">', '<img alt=', '<br>', '</br>', '<form>',
        '<label for=k%d>', '<input id=k%d>', '<button>', '<textarea>', '</textarea>', '<title>', '<style>', '</style>',
        '<script>', '</script>', '<svg>', '<path/>', '<foreignObject>', '</svg>', '<math>', '<template>', '</template>',
        '<font color=%d>', '<nobr>', '<object>', '<applet>', '<iframe>', '<frameset>', '<ruby>', '<rt>', '<caption>',
        '<colgroup>', '<body a%d=1>', '<html b%d>', '<head>', '</head>', '</body>', '<nav>', '</nav>', '<main>', '<pre>',
        '<x-%d>', '</x-%d>', '<dvi>', '</dvi>', '<p a=1 a=2>', '<p class="c%d d">', '<p style="color:red">',
        '<p style="colr:%d;">', '<a href="x.html>', '<a hfre=x%d>', '<p =">', '<', '<<', '</', '<!', '<!--', '-->', '<?',
        '<![CDATA[', '&amp', '&#x%d;', '&noname;', '"', "'", '>', ' ', "\n", "\t", "\0", "\xff", 'word ', 'x', '=', '/',
        '<details>', '<summary>', '<fieldset>', '<legend>', '<video>', '<source>', '<link rel=stylesheet href=s.css>',
        '<meta charset=utf-8>', '<base href=/a%d/>', '<map name=k%d>', '<area>', '<img usemap=#k%d>', 'http://x%d.example ',
        '<a href="mailto:a%d@b">', '<a href="http:// %d">', '<p id=k%d>', '<p id="k %d">', '<p lang=en aria-labelledby="k%d">',
    ];

    private const STYLES = [
        'a{', '}', 'color:red;', 'color:rde%d;', 'colr%d:red;', '--v%d:1;', 'width:var(--v%d);', 'margin:1px 2px;', '.c%d{',
        '#k%d{', '.c%d ', '.d', '> ', '+ ', '~ ', '*', 'p', ', ', ':hover', ':not(', ':is(', ':has(', ')', ':nth-child(2n+1)',
        '::before', '[a=b]', '[a', ']', '@media screen{', '@medai{', '@import "t.css";', '@import "s.css";',
        '@supports (a:b){', '@layer l%d{', '@keyframes k%d{', 'from{', '@font-face{', 'animation-name:k%d;', ';', ':', '{',
        '(', '/*', '*/', '"', "'", "\n", '\\', '\\61 ', 'url(x%d.png)', 'background:url(x.png);', 'url(', '!important',
        'calc(1px + 2px) ', '1px ', '%d%% ', '#abc ', 'a,', 'font:12px/1.5 a,b;', 'grid-area:x%d;', '&', '<!--', '-->', "\0",
        '<p>', '//', 'a:hover{color:red}', 'a:link{color:#%d}', 'p{color:red;color:blue}', '.c%d{border:1px solid red}',
    ];

    /** @return list<string> what it was, and what does not hold; of the latter nothing when all is well */
    public static function run(int $seed): array
    {
        $inventor = new Inventor($seed);
        $grown = self::invent($inventor);
        $before = null;
        foreach (self::SIZES as $size) {
            $now = self::cost($grown($size), $size);
            $wrong = [
                ...self::excess($now, $size),
                ...($before === null ? [] : self::growth($before, $now)),
            ];
            if ($wrong !== []) {
                return [json_encode($grown(2), JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR), ...$wrong];
            }
            if ($now['isTooLarge'] || $now['seconds'] > self::SECONDS / 4) {
                break;
            }
            $before = $now;
        }

        return [];
    }

    /** @return \Closure(int): array<string, string> a site by how often its parts are repeated */
    private static function invent(Inventor $inventor): \Closure
    {
        $parts = fn (array $all) => implode('', array_map(
            fn () => $inventor->oneOf($all),
            range(1, $inventor->oneOf([1, 1, 2, 2, 3, 4])),
        ));
        $first = $parts(self::MARKUP);
        $then = $inventor->chance(40) ? $parts(self::MARKUP) : '';
        $around = $inventor->oneOf(['', '', '<table>', '<select>', '<svg>', '<ul>', '<b><i><u>', '<p>', '<p a="', '<!--']);
        $style = $inventor->chance(50) ? $parts(self::STYLES) : '';
        $page = fn (string $body) => "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<title>x</title>\n"
            ."<link rel=\"stylesheet\" href=\"s.css\">\n</head>\n<body>\n$body\n</body>\n</html>\n";
        $isShared = $inventor->chance(50);

        return fn (int $size) => $style === ''
            ? ['index.html' => $page($around.self::repeated($first, $size).self::repeated($then, $size)), 's.css' => '']
            : [
                'index.html' => $page(self::repeated($isShared ? $first : '<p class="c%d d">x</p>', min(300, $size))),
                's.css' => self::repeated($style, $size),
                't.css' => 'p{color:red}',
            ];
    }

    private static function repeated(string $part, int $times): string
    {
        if (! str_contains($part, '%d')) {
            return str_repeat(str_replace('%%', '%', $part), $times);
        }
        $all = '';
        for ($n = 0; $n < $times; $n++) {
            $all .= str_replace(['%d', '%%'], [(string) $n, '%'], $part);
        }

        return $all;
    }

    /**
     * @param  array<string, string>  $files
     * @return array{seconds: float, bytes: int, size: int, isTooLarge: bool}
     */
    private static function cost(array $files, int $times): array
    {
        gc_collect_cycles();
        memory_reset_peak_usage();
        $from = memory_get_usage();
        $start = self::processorTime();
        $report = Check::run(Samples::site($files), Brief::none());
        JsonReport::render($report);
        SiteSurvey::render($report->site, Brief::none());

        return [
            'seconds' => self::processorTime() - $start,
            'bytes' => memory_get_peak_usage() - $from,
            'size' => $times,
            'isTooLarge' => array_filter(
                $report->findings,
                fn (PlacedFinding $one) => $one->finding->rule === 'file/too-large',
            ) !== [],
        ];
    }

    private static function processorTime(): float
    {
        $usage = getrusage() ?: [];

        return ($usage['ru_utime.tv_sec'] ?? 0) + ($usage['ru_utime.tv_usec'] ?? 0) / 1e6;
    }

    /**
     * @param  array{seconds: float, bytes: int, size: int, isTooLarge: bool}  $cost
     * @return list<string>
     */
    private static function excess(array $cost, int $times): array
    {
        return $cost['seconds'] <= self::SECONDS && $cost['bytes'] <= self::BYTES ? [] : [sprintf(
            '%d times: %.1f s and %d MB',
            $times,
            $cost['seconds'],
            $cost['bytes'] / 1_000_000,
        )];
    }

    /**
     * @param  array{seconds: float, bytes: int, size: int, isTooLarge: bool}  $before
     * @param  array{seconds: float, bytes: int, size: int, isTooLarge: bool}  $now
     * @return list<string>
     */
    private static function growth(array $before, array $now): array
    {
        $larger = log($now['size'] / $before['size']);
        // What is not read costs little.
        if ($now['isTooLarge']) {
            return [];
        }
        $time = $now['seconds'] < self::LEAST_SECONDS
            ? 0.0
            : log($now['seconds'] / max($before['seconds'], self::LEAST_SECONDS / 16)) / $larger;
        $memory = $now['bytes'] < self::LEAST_BYTES
            ? 0.0
            : log($now['bytes'] / max($before['bytes'], self::LEAST_BYTES / 16)) / $larger;

        return max($time, $memory) <= self::EXPONENT ? [] : [sprintf(
            'from %d to %d times: time to the power of %.2f (%.2f s), memory of %.2f (%d MB)',
            $before['size'],
            $now['size'],
            $time,
            $now['seconds'],
            $memory,
            $now['bytes'] / 1_000_000,
        )];
    }
}

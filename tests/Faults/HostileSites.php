<?php

declare(strict_types=1);

namespace Tests\Faults;

/** Sites that cost far more to check than to send: each was the end of a worker once. */
final readonly class HostileSites
{
    /** @return array<string, array<string, string>> the files of each, by what is in it */
    public static function all(): array
    {
        $attributes = implode(' ', array_map(fn (int $nth) => "a$nth=1", range(1, 200_000)));
        $bold = implode('', array_map(fn (int $nth) => "<b id=$nth><p>", range(1, 1_000)));
        $pages = [];
        foreach (range(1, 1_900) as $nth) {
            $pages["p$nth.html"] = self::page("<main><h1>Page $nth</h1><p><a href=\"p1.html\">one</a></p></main>");
        }

        return [
            'tables 20,000 deep' => self::one(str_repeat('<table><tr><td>', 20_000)),
            'elements 100,000 deep' => self::one(str_repeat('<div>', 100_000)),
            'sheets that import each other 3,000 times' => [
                'index.html' => self::page('<p>x</p>', 'a.css'),
                'a.css' => str_repeat("@import \"b.css\";\n", 3_000),
                'b.css' => str_repeat("@import \"a.css\";\n", 3_000),
            ],
            '200,000 attributes' => self::one("<p $attributes>x</p>"),
            'selectors with many combinators' => self::styled(str_repeat("* > * ~ * + * {color:red}\n", 20_000)),
            'a million selectors' => self::styled(str_repeat('a,', 1_000_000).'b{color:red}'),
            'attributes twice, and end tags of nothing' => self::one(str_repeat('<p a=1 a=2></b>', 40_000)),
            '30,000 optgroups' => self::one('<select>'.str_repeat('<optgroup>', 30_000)),
            'bold elements that never end' => self::one($bold),
            '100,000 @media rules' => self::styled(str_repeat("@media screen {a{color:red}}\n", 100_000)),
            'a bracket 200,000 deep' => self::styled('p{color:'.str_repeat('(', 200_000)),
            '1,900 pages' => $pages,
            'NUL bytes' => self::one(str_repeat("\0", 300_000)),
        ];
    }

    /** @return array<string, string> one that takes some seconds, within the limits */
    public static function heavy(): array
    {
        $elements = implode('', array_map(fn (int $nth) => "<p class=\"c$nth\">$nth</p>\n", range(1, 3_000)));

        return [
            'index.html' => self::page($elements, 's.css'),
            's.css' => implode('', array_map(fn (int $nth) => "* > * ~ .c$nth + * {color:#$nth}\n", range(1000, 9999))),
        ];
    }

    /** @return array<string, string> */
    private static function one(string $body): array
    {
        return ['index.html' => self::page($body)];
    }

    /** @return array<string, string> */
    private static function styled(string $css): array
    {
        return ['index.html' => self::page(str_repeat("<p>x</p>\n", 300), 's.css'), 's.css' => $css];
    }

    private static function page(string $body, ?string $sheet = null): string
    {
        $link = $sheet === null ? '' : "<link rel=\"stylesheet\" href=\"$sheet\">\n";

        return "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<title>x</title>\n$link</head>\n<body>\n$body\n</body>\n</html>\n";
    }
}

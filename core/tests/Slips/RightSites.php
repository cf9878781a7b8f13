<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Slips;

use InkedMargin\Core\Tests\Samples;

/** Sites that are right, in ways that look like slips. Common practice, no source. */
final class RightSites
{
    /** @return array<string, array{array<string, string>}> contents by path */
    public static function all(): array
    {
        return array_map(fn (array $site) => [$site], [
            'teasers of a blog that repeat the post' => self::blog(),
            'a notice on most pages' => self::pages(fn (string $name) => $name === 'Home' ? '' : '<p>The slipway is closed for repairs until the end of May, so please use the north stairs.</p>'),
            'two languages with home pages of their own' => self::languages(),
            'a splash page before the home page' => self::splash(),
            'labs with home pages of their own' => self::labs(),
            'longer labels in the menu of the home page' => self::longLabels(),
            'rating stars' => self::pages(fn (string $name) => '<p><span class="star"></span><span class="star"></span> ★★☆☆☆ by a guest</p>', '.star { display: inline-block; width: 1em; height: 1em; background-color: gold; }'),
            'one heading on several pages' => self::pages(fn (string $name) => "<h2>Introduction</h2><p>What $name is about, in two lines or so.</p><h2>Contact</h2><p>Ask for $name at the quay.</p>"),
            'an overview on two pages' => self::pages(fn (string $name) => in_array($name, ['Boats', 'Tides'], true) ? '<h2>Overview</h2><p>All of it in short.</p>' : ''),
            'icons of a font that is linked' => self::pages(fn (string $name) => '<p><i class="qi qi-bell"></i> <i class="qi qi-boat"></i> Ring for the ferry.</p>', self::icons()),
            'a class called as a place on the page' => self::pages(fn (string $name) => '<p id="top">All of it.</p><p><a href="#top">Back up</a></p>', '.top { margin: 0; }', '<p class="top">The top.</p>'),
            'prefixes beside the property' => self::pages(fn (string $name) => '', 'p { -webkit-transition: color 1s; -moz-transition: color 1s; transition: color 1s; -webkit-box-shadow: none; box-shadow: none; }'),
            'text over a picture by a negative margin' => self::pages(fn (string $name) => '<img src="quay.png" alt="The quay at night"><h2 class="over">By night</h2>', '.over { margin-top: -3em; color: white; }'),
            'text that is blended with what is behind it' => self::pages(fn (string $name) => '<p class="blend">Fog on the water.</p>', 'body { background-color: white; color: black; } .blend { color: #eeeeee; mix-blend-mode: difference; }'),
            'states of links that look the same' => self::pages(fn (string $name) => '', 'a:hover { color: navy; } a:visited { color: navy; } a:link { color: navy; }'),
            'a map of a stylesheet' => self::pages(fn (string $name) => '', "p { margin: 0; }\n/*# sourceMappingURL=site.css.map */") + ['site.css.map' => '{"version":3}'],
            'lines of code with breaks' => self::pages(fn (string $name) => '<p><code>row 1<br>row 2<br>row 3</code></p>'),
            'dates after links' => self::pages(fn (string $name) => '<ul><li><a href="index.html">The new pier</a> 3 May</li><li><a href="boats.html">The old boats</a> 5 May</li></ul>'),
            'a manual with a contents page' => self::manual(),
            'a search with a button' => self::pages(fn (string $name) => '<form action="https://search.example.org/"><input type="search" name="q" aria-label="Search"><button>Search</button></form>'),
            'variables that a script sets' => self::pages(fn (string $name) => '<script>document.body.style.setProperty("--far", "2em")</script>', 'p { margin: var(--far); }'),
            'variables with a fallback, and in each other' => self::pages(fn (string $name) => '', ':root { --a: 1em; --b: calc(var(--a) * 2); } p { margin: var(--b) var(--c, 0); }'),
            'media queries of many kinds' => self::pages(fn (string $name) => '', self::media()),
            'calculations of many kinds' => self::pages(fn (string $name) => '', 'p { width: calc(100% - (2 * 1rem)); margin: min(2em, 5vw) max(1px, .5em); padding: clamp(1rem, 2vw + 1rem, 3rem); height: calc(1px*3); }'),
            'animations and areas' => self::pages(fn (string $name) => '', '@keyframes a { to { opacity: 1; } } p { animation: a 1s ease-in-out 0.2s infinite alternate both; } main { grid-area: 1 / 2 / span 2 / 3; } body { grid-template: "top top" 3em "main main" 1fr / 1fr 2fr; } nav { grid-area: top; }'),
            'the section as the current page' => self::section(),
            'links of other schemes' => self::pages(fn (string $name) => '<p><a href="mailto:a@example.org?subject=Boat%20trip">Mail</a> <a href="mailto:?subject=Look">Tell a friend</a> <a href="mailto:a@example.org,b@example.org">Both</a> <a href="tel:+44-1632-960001">Call</a> <a href="tel:112">112</a> <a href="sms:+441632960001">Text</a> <a href="geo:50,4">Map</a></p>'),
            'fields named in many ways' => self::pages(fn (string $name) => '<form action="https://a.example.org/"><p><label>Name <input name="n"></label> <input title="Boat"> <span id="l">Berth</span> <input aria-labelledby="l"> <label for="s">Size</label> <select id="s"><option>Small</option></select> <input type="hidden" name="h"> <input type="submit" value="Send"></p></form>'),
            'one page with two menus' => self::pages(fn (string $name) => '<footer><ul><li><a href="index.html">Home</a></li><li><a href="boats.html">Boats</a></li></ul></footer>'),
            'a table without optional end tags' => self::pages(fn (string $name) => '<table><tr><th>Name<th>Berth<tr><td>Tern<td>2</table>'),
        ]);
    }

    private static function page(string $title, string $body, string $head = '', string $lang = 'en'): string
    {
        return "<!DOCTYPE html>\n<html lang=\"$lang\">\n<head>\n<meta charset=\"utf-8\">\n<title>$title</title>\n$head</head>\n"
            ."<body>\n$body\n</body>\n</html>\n";
    }

    /**
     * Four pages with a menu.
     *
     * @param  \Closure(string): string  $part  of each page, by its name
     * @return array<string, string>
     */
    private static function pages(\Closure $part, string $css = 'p { margin: 0; }', string $more = ''): array
    {
        $names = ['index' => 'Home', 'boats' => 'Boats', 'tides' => 'Tides', 'crew' => 'Crew'];
        $site = ['site.css' => $css, 'quay.png' => Samples::png(40, 30)];
        $link = "<link rel=\"stylesheet\" href=\"site.css\">\n";
        foreach ($names as $file => $name) {
            $body = self::menu($names)."<main><h1>$name</h1>$more<p>What there is to say of ".strtolower($name)
                .' at the quay, and no more.</p>'.$part($name).'</main>';
            $site["$file.html"] = self::page("$name - Quay", $body, $link);
        }

        return $site;
    }

    /** @param  array<string, string>  $names  by file */
    private static function menu(array $names, string $up = ''): string
    {
        $items = array_map(
            fn (string $file, string $name) => "<li><a href=\"$up$file.html\">$name</a></li>",
            array_keys($names),
            $names,
        );

        return '<nav><ul>'.implode('', $items).'</ul></nav>';
    }

    /** @return array<string, string> */
    private static function blog(): array
    {
        $posts = [
            'storm' => ['The storm of May', 'The wind came from the west at six, and the boats were gone by seven.'],
            'seals' => ['Seals on the slip', 'Nobody had asked them, and they stayed for the whole of the week.'],
            'paint' => ['Fresh paint', 'The boathouse is green again, as it was when the old harbour master lived.'],
        ];
        $names = ['index' => 'News', 'about' => 'About'];
        $teasers = '';
        $site = [];
        foreach ($posts as $file => [$title, $first]) {
            $teasers .= "<article><h2><a href=\"$file.html\">$title</a></h2><p>$first</p></article>";
            $site["$file.html"] = self::page(
                "$title - Quay news",
                self::menu($names)."<main><h1>$title</h1><p>$first</p><p>More of $title later on.</p></main>",
            );
        }
        $site['index.html'] = self::page('Quay news', self::menu($names)."<main><h1>News</h1>$teasers</main>");
        $site['about.html'] = self::page(
            'About - Quay news',
            self::menu($names).'<main><h1>About</h1><p>Who writes this, and why.</p></main>',
        );

        return $site;
    }

    /** @return array<string, string> */
    private static function languages(): array
    {
        $site = [];
        foreach (['' => ['en', 'Boats', 'Tides'], 'nl/' => ['nl', 'Boten', 'Getijden']] as $folder => [$lang, $one, $two]) {
            $names = ['index' => $lang === 'en' ? 'Home' : 'Begin', 'boats' => $one, 'tides' => $two];
            foreach ($names as $file => $name) {
                $heading = $file === 'index' ? 'Wren Quay' : $name;
                $other = $folder === '' ? "nl/$file.html" : "../$file.html";
                $switch = $file === 'index' ? '' : "<p><a href=\"$other\">".($lang === 'en' ? 'Nederlands' : 'English').'</a></p>';
                $text = $lang === 'en' ? "What $name means here." : "Wat $name hier is.";
                $site["$folder$file.html"] = self::page(
                    "$name - Wren Quay",
                    self::menu($names)."<main><h1>$heading</h1><p>$text</p>$switch</main>",
                    '',
                    $lang,
                );
            }
        }

        return $site;
    }

    /** @return array<string, string> */
    private static function splash(): array
    {
        $names = ['home' => 'Home', 'boats' => 'Boats', 'tides' => 'Tides', 'crew' => 'Crew'];
        $site = ['index.html' => self::page(
            'Wren Quay',
            '<main><h1>Wren Quay</h1><p><a href="home.html">Enter the site</a></p></main>',
        )];
        foreach ($names as $file => $name) {
            $site["$file.html"] = self::page(
                "$name - Wren Quay",
                self::menu($names)."<main><h1>$name</h1><p>What there is to say of $name.</p></main>",
            );
        }

        return $site;
    }

    /** @return array<string, string> */
    private static function labs(): array
    {
        $list = '';
        $site = [];
        foreach (['lab1' => 'First lab', 'lab2' => 'Second lab', 'lab3' => 'Third lab'] as $lab => $title) {
            $list .= "<li><a href=\"$lab/index.html\">$title</a></li>";
            $names = ['index' => 'Start', 'notes' => 'Notes'];
            foreach ($names as $file => $name) {
                $site["$lab/$file.html"] = self::page(
                    "$name of the ".strtolower($title),
                    self::menu($names)."<main><h1>$title: $name</h1><p>What was done for $name.</p></main>",
                );
            }
        }
        $site['index.html'] = self::page('My labs', "<main><h1>My labs</h1><ul>$list</ul></main>");

        return $site;
    }

    /** @return array<string, string> */
    private static function longLabels(): array
    {
        $site = self::pages(fn () => '');
        $site['index.html'] = str_replace(
            ['>Boats</a>', '>Tides</a>', '>Crew</a>'],
            ['>Boats that lie here</a>', '>Tides of the week</a>', '>Crew and skippers</a>'],
            $site['index.html'],
        );

        return $site;
    }

    /** @return array<string, string> */
    private static function manual(): array
    {
        $chapters = ['one' => 'Knots', 'two' => 'Sails', 'three' => 'Tides', 'four' => 'Lights', 'five' => 'Ports'];
        $files = array_keys($chapters);
        $list = '';
        $site = [];
        foreach ($files as $at => $file) {
            $name = $chapters[$file];
            $list .= "<li><a href=\"$file.html\">$name</a></li>";
            $ways = array_filter([
                isset($files[$at - 1]) ? "<a href=\"{$files[$at - 1]}.html\">Previous</a>" : '',
                '<a href="index.html">Contents</a>',
                isset($files[$at + 1]) ? "<a href=\"{$files[$at + 1]}.html\">Next</a>" : '',
            ]);
            $site["$file.html"] = self::page(
                "$name - Handbook",
                '<nav>'.implode(' ', $ways)."</nav><main><h1>$name</h1><p>All that is to know of $name.</p></main>",
            );
        }
        $site['index.html'] = self::page('Handbook', "<main><h1>Handbook</h1><ul>$list</ul></main>");

        return $site;
    }

    /** @return array<string, string> */
    private static function section(): array
    {
        $names = ['index' => 'Home', 'boats/index' => 'Boats', 'tides' => 'Tides'];
        $page = function (string $here, string $name, string $current) use ($names): string {
            $up = str_repeat('../', substr_count($here, '/'));
            $items = array_map(
                fn (string $file, string $label) => "<li><a href=\"$up$file.html\""
                    .($file === $current ? ' class="active" aria-current="true"' : '').">$label</a></li>",
                array_keys($names),
                $names,
            );

            return self::page(
                "$name - Quay",
                '<nav><ul>'.implode('', $items)."</ul></nav><main><h1>$name</h1><p>All of $name.</p>"
                    .($here === 'boats/index' ? '<p><a href="tern.html">The tern</a></p>' : '').'</main>',
            );
        };

        return [
            'index.html' => $page('index', 'Home', 'index'),
            'tides.html' => $page('tides', 'Tides', 'tides'),
            'boats/index.html' => $page('boats/index', 'Boats', 'boats/index'),
            'boats/tern.html' => $page('boats/tern', 'Tern', 'boats/index'),
        ];
    }

    private static function icons(): string
    {
        $rules = ".qi { font-family: \"Quay Icons\", sans-serif; }\n";
        foreach (['bell', 'boats', 'anchor', 'rope', 'flag', 'lamp', 'knot', 'sail', 'oar', 'buoy', 'mast', 'hull', 'deck'] as $name) {
            $rules .= ".qi-$name::before { content: \"\\e001\"; }\n";
        }

        return $rules;
    }

    private static function media(): string
    {
        return <<<'CSS'
            @media screen { p { margin: 0; } }
            @media only screen and (min-width: 40em) and (orientation: landscape) { p { margin: 1em; } }
            @media (400px <= width <= 900px) { p { margin: 2em; } }
            @media (width > 30em), print and (color) { p { margin: 3em; } }
            @media not all and (monochrome) { p { margin: 4em; } }
            @media (min-resolution: 2dppx), (-webkit-min-device-pixel-ratio: 2) { p { margin: 5em; } }
            @media (prefers-color-scheme: dark) and (not (hover: none)) { p { margin: 6em; } }
            @media (min-aspect-ratio: 16/9) { p { margin: 7em; } }
            @media all and (-ms-high-contrast: none), (-ms-high-contrast: active) { p { margin: 8em; } }
            @media screen and (max-width: calc(40em - 1px)) { p { margin: 9em; } }
            @supports not (display: grid) { p { float: left; } }
            @supports (display: grid) and (gap: 1em) { p { margin: 0; } }
            @supports selector(:has(a)) { p { margin: 0; } }
            @container side (width > 20em) and (orientation: portrait) { p { margin: 0; } }
            @layer reset, base.forms;
            @layer base { @media print { p { margin: 0; } } }
            @page { margin: 2cm; }
            @-webkit-keyframes drift { to { opacity: 1; } }
            CSS;
    }
}

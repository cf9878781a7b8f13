<?php

declare(strict_types=1);

use InkedMargin\Core\Example\ExampleFiles;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Tests\Samples;

/** A picture of one colour, as text. */
function svg(string $colour = 'grey'): string
{
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 9 9\"><rect width=\"9\" height=\"9\" fill=\"$colour\"/></svg>";
}

/**
 * Pages that are built alike, by path.
 *
 * @param  array<string, string>  $titles  by path
 * @param  Closure(string, string): string  $page  from path and title
 * @return array<string, string>
 */
function pages(array $titles, Closure $page): array
{
    return array_combine(array_keys($titles), array_map($page, array_keys($titles), $titles));
}

/** Links to all pages; the page's own entry is plain where `$own` says so. */
function links(
    array $titles,
    string $here,
    string $between = ' ',
    bool $own = true,
    string $before = '',
    string $after = '',
): string {
    $up = str_repeat('../', substr_count($here, '/'));
    $one = fn (
        string $path,
        string $title,
    ) => $before.($path === $here && ! $own ? $title : "<a href=\"$up$path\">$title</a>").$after;

    return implode($between, array_map($one, array_keys($titles), $titles));
}

const ISLAND = [
    'index.html' => 'Home',
    'tides.html' => 'Tides',
    'birds.html' => 'Birds',
    'ferry.html' => 'Ferry',
    'seals.html' => 'Seals',
];

/** Correct sites in many styles, none of which may give a fault or a departure. */
dataset('clean sites', function () {
    $all = ISLAND;
    $text = fn (string $title) => '<p>What there is to know of '.strtolower($title)
        .' on the island, told in a line or two.</p>';
    $list = fn (string $here, bool $own = true) => '<nav><ul>'.links(
        ISLAND,
        $here,
        '',
        $own,
        '<li>',
        '</li>',
    ).'</ul></nav>';
    $plain = fn (string $path, string $title) => ExampleFiles::page(
        "<header>{$list($path)}</header><main>{$text($title)}</main>",
        $title,
    );

    yield 'a menu in the header' => [pages($all, $plain)];
    yield 'the own entry plain' => [
        pages($all, fn ($path, $title) => ExampleFiles::page($list($path, false).$text($title), $title)),
    ];
    yield 'a menu that begins with a word' => [
        pages($all, fn ($path, $title) => ExampleFiles::page(
            '<nav>Menu: '.links($all, $path, ' | ').'</nav>'.$text($title),
            $title,
        )),
    ];
    yield 'a menu with numbers before its links' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<nav>1. '.links($all, $path, ' 2. ').' EN</nav>'.$text($title),
                $title,
            ),
        ),
    ];
    yield 'a dropdown with a word as its head' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<nav><ul><li><a href="index.html">Home</a></li><li><span>Nature</span><ul><li><a href="tides.html">Tides</a></li><li><a href="birds.html">Birds</a></li><li><a href="seals.html">Seals</a></li></ul></li><li><a href="ferry.html">Ferry</a></li></ul></nav>'
                    .$text($title),
                $title,
            ),
        ),
    ];
    yield 'a dropdown with a button as its head' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<nav><ul><li><a href="index.html">Home</a></li><li><button type="button" aria-expanded="false">Nature</button><ul><li><a href="tides.html">Tides</a></li><li><a href="birds.html">Birds</a></li></ul></li><li><a href="seals.html">Seals</a></li><li><a href="ferry.html">Ferry</a></li></ul></nav>'
                    .$text($title),
                $title,
            ),
        ),
    ];
    yield 'a dropdown with a # as its head' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<nav><ul><li><a href="index.html">Home</a></li><li><a href="#">Nature</a><ul><li><a href="tides.html">Tides</a></li><li><a href="birds.html">Birds</a></li></ul></li><li><a href="seals.html">Seals</a></li><li><a href="ferry.html">Ferry</a></li></ul></nav>'
                    .$text($title),
                $title,
            ),
        ),
    ];
    yield 'a menu behind a checkbox' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<nav><label for="open">Menu</label><input type="checkbox" id="open"><ul>'.links(
                    $all,
                    $path,
                    '',
                    true,
                    '<li>',
                    '</li>',
                ).'</ul></nav>'.$text($title),
                $title,
            ),
        ),
    ];
    yield 'the subpages of the section that the reader is in' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<nav><ul>'.links(
                    $all,
                    $path,
                    '',
                    true,
                    '<li>',
                    $path === 'birds.html' ? '<ul><li><a href="puffins.html">Puffins</a></li></ul></li>' : '</li>',
                ).'</ul></nav>'.$text($title),
                $title,
            ),
        ) + ['puffins.html' => ExampleFiles::page($list('puffins.html').$text('Puffins'), 'Puffins')],
    ];
    yield 'a table for layout' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<table role="presentation"><tr><td>'.links($all, $path, '<br>')
                    ."</td><td>{$text($title)}</td></tr></table>",
                $title,
            ),
        ),
    ];
    yield 'two languages' => [pages([
        'index.html' => 'Home',
        'tides.html' => 'Tides',
        'birds.html' => 'Birds',
        'seals.html' => 'Seals',
        'de/index.html' => 'Start',
        'de/tiden.html' => 'Tiden',
        'de/voegel.html' => 'Vögel',
        'de/robben.html' => 'Robben',
    ], function ($path, $title) use ($text) {
        $isGerman = str_starts_with($path, 'de/');
        $nav = $isGerman
            ? '<a href="index.html">Start</a> <a href="tiden.html">Tiden</a> <a href="voegel.html">Vögel</a> <a href="robben.html">Robben</a> <a href="../index.html">EN</a>'
            : '<a href="index.html">Home</a> <a href="tides.html">Tides</a> <a href="birds.html">Birds</a> <a href="seals.html">Seals</a> <a href="de/index.html">DE</a>';

        return str_replace(
            'lang="en"',
            $isGerman ? 'lang="de"' : 'lang="en"',
            ExampleFiles::page("<nav>$nav</nav>".$text($title), $title),
        );
    })];
    yield 'sections with menus of their own' => [pages([
        'index.html' => 'Home',
        'birds/index.html' => 'All birds',
        'birds/puffins.html' => 'Puffins',
        'birds/gulls.html' => 'Gulls',
        'birds/terns.html' => 'Terns',
        'ferry/index.html' => 'The ferry',
        'ferry/times.html' => 'Times',
        'ferry/fares.html' => 'Fares',
        'ferry/bikes.html' => 'Bikes',
    ], function ($path, $title) use ($text) {
        $section = strtok($path, '/');
        $inner = [
            'birds' => ['index' => 'All birds', 'puffins' => 'Puffins', 'gulls' => 'Gulls', 'terns' => 'Terns'],
            'ferry' => ['index' => 'The ferry', 'times' => 'Times', 'fares' => 'Fares', 'bikes' => 'Bikes'],
        ][$section] ?? null;
        $nav = $inner === null
            ? '<a href="birds/index.html">Birds</a> <a href="ferry/index.html">Ferry</a>'
            : '<a href="../index.html">Home</a> '.implode(
                ' ',
                array_map(fn ($file, $label) => "<a href=\"$file.html\">$label</a>", array_keys($inner), $inner),
            );

        return ExampleFiles::page("<nav>$nav</nav>".$text($title), $title);
    })];
    yield 'a login page, a page for thanks and one for mistakes' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title)
                    .($path === 'ferry.html' ? '<form action="thanks.html"><p><button>Book</button></p></form>' : ''),
                $title,
            ),
        ) + [
            'login.html' => ExampleFiles::page(
                '<form action="index.html"><p><input aria-label="Your name"> <button>Log in</button></p></form>',
                'Log in',
            ),
            'thanks.html' => ExampleFiles::page('<p>We have your booking.</p>', 'Thank you'),
            '404.html' => ExampleFiles::page('<p><a href="index.html">Home</a></p>', 'Not found'),
        ],
    ];
    yield 'an entrance before the home page' => [[
        'index.html' => ExampleFiles::page('<p><a href="home.html">Enter</a></p>', 'Marrow Sound'),
    ] + pages(
        ['home.html' => 'Home', 'tides.html' => 'Tides', 'birds.html' => 'Birds', 'seals.html' => 'Seals'],
        fn ($path, $title) => ExampleFiles::page(
            '<nav>'.links(
                [
                    'home.html' => 'Home',
                    'tides.html' => 'Tides',
                    'birds.html' => 'Birds',
                    'seals.html' => 'Seals',
                    'index.html' => 'Entrance',
                ],
                $path,
            ).'</nav>'.$text($title),
            $title,
        ),
    )];
    yield 'a list of pages in the middle of one' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title)
                    .($path === 'index.html' ? '<ul><li><a href="seals.html">Seals</a></li><li><a href="birds.html">Birds</a></li><li><a href="tides.html">Tides</a></li></ul><p>All of these can be seen from the quay on a quiet day in May.</p>' : ''),
                $title,
            ),
        ),
    ];
    yield 'a list of pages in the text, and no menu' => [['index.html' => ExampleFiles::page(
        $text('Home')
            .'<ul><li><a href="tides.html">Tides</a></li><li><a href="birds.html">Birds</a></li><li><a href="seals.html">Seals</a></li></ul>'
            .$text('it all'),
        'Home',
    )] + pages(
        ['tides.html' => 'Tides', 'birds.html' => 'Birds', 'seals.html' => 'Seals'],
        fn ($path, $title) => ExampleFiles::page($text($title).'<p><a href="index.html">Home</a></p>', $title),
    )];
    yield 'minified' => [pages($all, fn ($path, $title) => str_replace("\n", '', $plain($path, $title)))];
    yield 'indented with tabs, lines ended as on another system' => [
        pages(
            $all,
            fn ($path, $title) => str_replace(
                "\n",
                "\r\n",
                "<!DOCTYPE html>\n<html lang=\"en\">\n\t<head>\n\t\t<meta charset=\"utf-8\">\n\t\t<title>$title</title>\n\t</head>\n\t<body>\n\t\t<h1>$title</h1>\n\t\t<nav>\n\t\t\t"
                    .links($all, $path, "\n\t\t\t")
                    ."\n\t\t</nav>\n\t\t{$text($title)}\n\t</body>\n</html>\n",
            ),
        ),
    ];
    yield 'slashes as XHTML has them' => [
        pages(
            $all,
            fn ($path, $title) => str_replace(
                ['<html lang="en">', '<meta charset="utf-8">'],
                ['<html xmlns="http://www.w3.org/1999/xhtml" lang="en" xml:lang="en">', '<meta charset="utf-8" />'],
                ExampleFiles::page($list($path).$text($title).'<p>One<br />two</p><hr />', $title),
            ),
        ),
    ];
    yield 'metadata for other sites' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title),
                $title,
                "<meta property=\"og:title\" content=\"$title\">\n<meta name=\"viewport\" content=\"width=device-width\">\n<link rel=\"icon\" href=\"icon.svg\">\n",
            ),
        ) + ['icon.svg' => svg()],
    ];
    yield 'icons in links with names' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title)
                    .'<p><a href="index.html" aria-label="Home"><i class="icon-home"></i></a> <a href="tides.html"><svg viewBox="0 0 1 1"><title>Tides</title><path d="M0 0"/></svg></a> <a href="birds.html" title="Birds"><img src="gull.svg" alt=""></a></p>',
                $title,
            ),
        ) + ['gull.svg' => svg()],
    ];
    yield 'places to go to' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<a name="top"></a>'.$list($path).$text($title)
                    .'<a id="end"></a><p><a href="#top">Up</a> <a href="#end">Down</a> <a href="#">Back to top</a></p>',
                $title,
            ),
        ),
    ];
    yield 'elements that a script fills' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title)
                    .'<p id="clock"></p><ul><li class="item"></li></ul><script>document.getElementById("clock").textContent = 1; document.querySelector(".item").textContent = 2</script>',
                $title,
            ),
        ),
    ];
    yield 'prose about placeholder text' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title)
                    .($path === 'index.html' ? '<p>Printers fill a page with words such as lorem ipsum dolor sit amet before the text is written. What goes here and there is up to them.</p>' : ''),
                $title,
            ),
        ),
    ];
    yield 'a banner, a logo and arrows on every page' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<header><img src="banner.svg" alt="The island from the sea"></header>'.$list($path).$text($title)
                    ."<p><img src=\"$title.svg\" alt=\"A view: $title\"></p><p><a href=\"index.html\"><img src=\"left.svg\" alt=\"back\"></a></p>",
                $title,
            ),
        ) + [
            'banner.svg' => svg('red'),
            'left.svg' => svg('blue'),
            'Home.svg' => svg(),
            'Tides.svg' => svg(),
            'Birds.svg' => svg(),
            'Ferry.svg' => svg(),
            'Seals.svg' => svg(),
        ],
        ['file/name'],
    ];
    yield 'the same closing words on some pages' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title)
                    .'<p>© 2026 Marrow Sound Trust, all rights reserved, and none of them for sale.</p>'
                    .($path === 'birds.html' || $path === 'seals.html' ? '<p>Write to us: Marrow Sound Trust, 3 The Quay, office@marrow.example, or come by.</p>' : ''),
                $title,
            ),
        ),
    ];
    yield 'the site’s name as main heading' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                "<h1>Marrow Sound</h1>{$list($path)}<h2>$title</h2>".$text($title),
                "Marrow Sound - $title",
            ),
        ),
    ];
    yield 'numbers as headings' => [
        pages(
            [
                'index.html' => 'The round',
                'stop-2.html' => 'Stop two',
                'stop-3.html' => 'Stop three',
                'stop-4.html' => 'Stop four',
            ],
            fn ($path, $title) => ExampleFiles::page(
                '<h1>'.(4 - array_search(
                    $path,
                    ['index.html', 'stop-2.html', 'stop-3.html', 'stop-4.html'],
                    true,
                )).'</h1>'.'<nav>'.links(
                    ['index.html' => '1', 'stop-2.html' => '2', 'stop-3.html' => '3', 'stop-4.html' => '4'],
                    $path,
                ).'</nav>'.$text($title),
                $title,
            ),
        ),
    ];
    yield 'home with a sheet of its own' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title),
                $title,
                '<link rel="stylesheet" href="'.($path === 'index.html' ? 'home' : 'inner').".css\">\n",
            ),
        ) + ['home.css' => 'p { margin: 0 }', 'inner.css' => 'p { margin: 1em }'],
    ];
    yield 'each folder with a sheet of its own' => [
        pages(
            [
                'index.html' => 'Home',
                'birds/a.html' => 'Gulls',
                'birds/b.html' => 'Terns',
                'fish/c.html' => 'Cod',
                'fish/d.html' => 'Eels',
            ],
            fn ($path, $title) => ExampleFiles::page(
                '<nav>'.links(
                    [
                        'index.html' => 'Home',
                        'birds/a.html' => 'Gulls',
                        'birds/b.html' => 'Terns',
                        'fish/c.html' => 'Cod',
                        'fish/d.html' => 'Eels',
                    ],
                    $path,
                ).'</nav>'.$text($title),
                $title,
                '<link rel="stylesheet" href="local.css">'."\n",
            ),
        ) + ['local.css' => 'p {}', 'birds/local.css' => 'p {}', 'fish/local.css' => 'p {}'],
    ];
    yield 'timetables named like a page' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title)
                    .($path === 'index.html' ? '<p><a href="files/tides.pdf">Tides</a> <a href="birds.html#list">Seals</a></p>' : '')
                    .($path === 'birds.html' ? '<p id="list">Gulls</p>' : ''),
                $title,
            ),
        ) + ['files/tides.pdf' => "%PDF-1.4\n"],
    ];
    yield 'exercises with a home page each' => [
        pages(
            [
                'index.html' => 'Exercises',
                'lab1/index.html' => 'Lab one',
                'lab1/two.html' => 'Second page',
                'lab2/index.html' => 'Lab two',
                'lab2/two.html' => 'Other page',
            ],
            fn ($path, $title) => ExampleFiles::page(
                $path === 'index.html'
                    ? '<p><a href="lab1/index.html">Lab one</a> <a href="lab2/index.html">Lab two</a></p>'
                    : '<p><a href="index.html">Home</a> <a href="two.html">Next</a> <a href="../index.html">Exercises</a></p>',
                $title,
            ),
        ),
    ];
    yield 'files that tools name' => [
        pages($all, $plain) + [
            'README.md' => 'About',
            'LICENSE' => 'Free',
            '.gitignore' => '*.log',
            'CNAME' => 'marrow.example',
        ],
    ];
    yield 'pictures that say what they show in one word' => [[
        'index.html' => ExampleFiles::page(
            '<p><a href="dogs.html"><img src="dogs.svg" alt="Dogs"></a> <a href="cats.html"><img src="cats.svg" alt="Cats"></a></p>',
            'Animals',
        ),
        'dogs.html' => ExampleFiles::page('<p><a href="index.html">Home</a></p>', 'Dogs'),
        'cats.html' => ExampleFiles::page('<p><a href="index.html">Home</a></p>', 'Cats'),
        'dogs.svg' => svg(),
        'cats.svg' => svg('red'),
    ]];
    yield 'a page reached from the text alone' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title)
                    .($path === 'ferry.html' ? '<p>Look at the <a href="fares.html">fares</a> first.</p>' : ''),
                $title,
            ),
        ) + ['fares.html' => ExampleFiles::page($list('fares.html').$text('Fares'), 'Fares')],
    ];
    yield 'folders asked for by their name' => [[
        'index.html' => ExampleFiles::page(
            '<nav><a href="./">Home</a> <a href="birds/">Birds</a></nav>'.$text('Home'),
            'Home',
        ),
        'birds/index.html' => ExampleFiles::page(
            '<nav><a href="../">Home</a> <a href="./">Birds</a></nav>'.$text('Birds'),
            'Birds',
        ),
    ]];
    yield 'pages that were moved, and one for printing' => [pages(
        $all,
        fn ($path, $title) => ExampleFiles::page(
            $list($path).$text($title)
                ."<h2>All the $title</h2><p>More on $title than anybody asked for, and all of it true as far as we know.</p>",
            $title,
        ),
    ) + [
        'old/tides.html' => "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<title>Moved</title>\n<meta http-equiv=\"refresh\" content=\"0; URL=../tides.html\">\n</head>\n<body>\n<p>Moved to <a href=\"../tides.html\">Tides</a>.</p>\n</body>\n</html>\n",
        'old/birds.html' => "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<title>Moved</title>\n<meta http-equiv=\"refresh\" content=\"0; URL=../birds.html\">\n</head>\n<body>\n<p>Moved to <a href=\"../birds.html\">Birds</a>.</p>\n</body>\n</html>\n",
        'print.html' => ExampleFiles::page(
            '<h2>All the Tides</h2><p>More on Tides than anybody asked for, and all of it true as far as we know.</p><h2>All the Birds</h2><p>More on Birds than anybody asked for, and all of it true as far as we know.</p><p><a href="index.html">Home</a></p>',
            'All on one page',
        ),
    ]];
    yield 'a folder with a sheet that the pages around it do not link' => [
        pages(
            ['index.html' => 'Home', 'birds/a.html' => 'Gulls', 'birds/b.html' => 'Terns', 'birds/c.html' => 'Kites'],
            fn ($path, $title) => ExampleFiles::page(
                '<nav>'.links(
                    [
                        'index.html' => 'Home',
                        'birds/a.html' => 'Gulls',
                        'birds/b.html' => 'Terns',
                        'birds/c.html' => 'Kites',
                    ],
                    $path,
                ).'</nav>'.$text($title),
                $title,
                $path === 'index.html' ? '' : '<link rel="stylesheet" href="local.css">'."\n",
            ),
        ) + ['birds/local.css' => 'p {}'],
    ];
    yield 'prose with the word placeholder' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                $list($path).$text($title)
                    .($path === 'index.html' ? '<p>Names go in place of the <code>{}</code> placeholder.</p><p>We are printing some text here to show it.</p>' : ''),
                $title,
            ),
        ),
    ];
    yield 'in French' => [
        pages(
            [
                'index.html' => 'Accueil',
                'marees.html' => 'Marées',
                'oiseaux.html' => 'Oiseaux',
                'phoques.html' => 'Phoques',
            ],
            fn ($path, $title) => str_replace(
                'lang="en"',
                'lang="fr"',
                ExampleFiles::page(
                    '<nav>'.links(
                        [
                            'index.html' => 'Accueil',
                            'marees.html' => 'Marées',
                            'oiseaux.html' => 'Oiseaux',
                            'phoques.html' => 'Phoques',
                        ],
                        $path,
                    ).'</nav><p>Tout sur '.mb_strtolower($title).' : à l’île, l’été est court.</p>',
                    "Île Marrow – $title",
                ),
            ),
        ),
    ];
    yield 'in Japanese' => [
        pages(
            ['index.html' => 'ホーム', 'shio.html' => '潮', 'tori.html' => '鳥', 'fune.html' => '船'],
            fn ($path, $title) => str_replace(
                'lang="en"',
                'lang="ja"',
                ExampleFiles::page(
                    '<nav>'.links(
                        ['index.html' => 'ホーム', 'shio.html' => '潮', 'tori.html' => '鳥', 'fune.html' => '船'],
                        $path,
                    )."</nav><p>{$title}について。</p>",
                    "島の{$title}",
                ),
            ),
        ),
    ];
    yield 'old end tags left out, all along' => [
        pages(
            $all,
            fn ($path, $title) => ExampleFiles::page(
                '<ul>'.links(
                    $all,
                    $path,
                    "\n",
                    true,
                    '<li>',
                ).'</ul><p>One of the '.strtolower($title)."\n<p>Another of the ".strtolower($title)
                    ."\n<table><tr><td>1<td>2<tr><td>3<td>4</table>",
                $title,
            ),
        ),
    ];
});

it('has no fault or departure against a correct site, whatever its style', function (array $site, array $allowed = []) {
    $heavy = array_filter(
        Samples::check($site)->findings,
        fn (PlacedFinding $placed) => $placed->finding->weight !== Weight::Tidy && ! in_array(
            $placed->finding->rule,
            $allowed,
            true,
        ),
    );

    expect(
        array_values(
            array_map(
                fn (PlacedFinding $placed) => "{$placed->finding->kind()} {$placed->finding->file}:{$placed->start->line} {$placed->finding->message}",
                $heavy,
            ),
        ),
    )->toBe([]);
})->with('clean sites');

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Slips;

use InkedMargin\Core\Tests\Samples;

/** A small site that is right: three or four pages with a menu, one stylesheet, a table, a map, and a form. */
final class Quay
{
    private const LABELS = ['index' => 'Home', 'boats' => 'Boats', 'tides' => 'Tides', 'crew' => 'Crew'];

    private const PARTS = [
        'index' => <<<'HTML'
            <h2>Where we are</h2>
            <p>The quay lies at the north end of the island, behind the old mill.</p>
            <img src="images/quay.png" alt="The quay at low water" width="400" height="300">
            HTML,
        'boats' => <<<'HTML'
            <h2>Our three boats</h2>
            <table>
              <tr><th id="name">Name</th><th id="berths">Berths</th></tr>
              <tr><td headers="name">Tern</td><td headers="berths">2</td></tr>
            </table>
            <p>Three boats lie here, and one of them leaks a little at night.</p>
            HTML,
        'tides' => <<<'HTML'
            <h2>When the tides turn</h2>
            <img src="images/map.png" alt="Map of the channel" usemap="#channel">
            <map name="channel"><area shape="rect" coords="0,0,90,90" href="boats.html" alt="Where the boats lie"></map>
            <svg width="0" height="0"><symbol id="wave"><path d="M0 0h9"/></symbol></svg>
            <svg width="9" height="9" aria-hidden="true"><use href="#wave"/></svg>
            <p>High water comes an hour later each day, so look it up first.</p>
            HTML,
        'crew' => <<<'HTML'
            <h2>Sail with us</h2>
            <form id="join" action="https://forms.example.org/join" method="post">
              <p><label for="name">Your name</label> <input id="name" name="name"></p>
              <p><label>Your boat <input name="boat" list="boats"></label></p>
              <datalist id="boats"><option value="Tern"></datalist>
              <p id="hint">We answer within a week of your letter.</p>
              <p><label for="note">Note</label> <textarea id="note" name="note" aria-describedby="hint"></textarea></p>
            </form>
            <p><button form="join">Join</button></p>
            <p><button type="button" popovertarget="rules">Rules</button></p>
            <div id="rules" popover><p>Nobody sails alone.</p></div>
            <iframe src="https://maps.example.org/quay" title="Map of the quay"></iframe>
            HTML,
    ];

    private const SHEET = <<<'CSS'
        @font-face { font-family: "Quay"; src: url("quay.woff2") format("woff2"); }
        :root { --ink: #222222; --paper: #ffffff; --gap: 1rem; }
        body {
          display: grid;
          grid-template-areas: "top top" "main main" "foot foot";
          background-color: var(--paper);
          color: var(--ink);
          font-family: "Quay", sans-serif;
        }
        header { grid-area: top; }
        main { grid-area: main; padding: calc(1rem + 2px); }
        footer { grid-area: foot; }
        h2 { animation: glow 2s infinite; }
        @keyframes glow { from { opacity: 0.9; } to { opacity: 1; } }
        @media (max-width: 40em) { nav { padding: var(--gap); } }
        @media print { nav { display: none; } }
        @supports (display: grid) { main { gap: var(--wide, 1rem); } }
        @layer base { p { margin: 0; } }
        @container (min-width: 30em) { p { margin: 1em; } }
        CSS;

    /** @return array<string, string> contents by path */
    public static function site(int $pages = 4): array
    {
        $labels = array_slice(self::LABELS, 0, $pages);
        $site = ['css/site.css' => self::SHEET, 'css/quay.woff2' => "wOF2\0\1\0\0"];
        $site += ['images/quay.png' => Samples::png(400, 300), 'images/map.png' => Samples::png(90, 90)];
        $site['css/more.css'] = 'p { margin: 0; }';
        foreach ($labels as $file => $label) {
            $site["$file.html"] = self::page($file, $label, $labels);
        }

        return $site;
    }

    /** @param  array<string, string>  $labels  by file */
    private static function page(string $here, string $label, array $labels): string
    {
        $entry = fn (string $file, string $text) => "        <li><a href=\"$file.html\""
            .($file === $here ? ' aria-current="page"' : '').">$text</a></li>";
        $menu = implode("\n", array_map($entry, array_keys($labels), $labels));
        $part = str_replace("\n", "\n    ", self::PARTS[$here]);
        $title = $here === 'index' ? 'Wren Quay' : "$label - Wren Quay";
        $heading = $here === 'index' ? 'Wren Quay' : $label;

        return <<<HTML
            <!DOCTYPE html>
            <html lang="en">
            <head>
              <meta charset="utf-8">
              <title>$title</title>
              <meta name="description" content="What there is to know of $label at the quay.">
              <link rel="stylesheet" href="css/site.css">
            </head>
            <body>
              <header>
                <h1>$heading</h1>
                <nav>
                  <ul>
            $menu
                  </ul>
                </nav>
              </header>
              <main>
                $part
              </main>
              <footer>
                <p>Write to <a href="mailto:quay@example.org">the harbour office</a>.</p>
              </footer>
            </body>
            </html>

            HTML;
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Promises;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Example\ExampleFiles;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Seed;
use Symfony\Component\Yaml\Yaml;

/** A right site with a brief that it meets in full: any kinds of requirement, any ways of giving credit. */
final readonly class InventedWork
{
    private const NAMES = [
        'harbour', 'lantern', 'puffin', 'saltpan', 'tideway', 'orchard', 'windmill', 'quarry', 'causeway',
    ];

    /** @param  array<string, string>  $files  bytes by path */
    private function __construct(
        public array $files,
        public Brief $brief,
        public string $yaml,
        public Materials $materials,
        private Packing $packing,
    ) {
    }

    public static function from(Seed $seed): self
    {
        $names = self::some($seed, self::NAMES, $seed->number(2, 6));
        $isInFolder = $seed->chance(40);
        $path = fn (string $name) => $name === 'index' ? 'index.html' : ($isInFolder ? 'pages/' : '')."$name.html";
        $pages = ['index', ...$names];
        $files = [
            'styles/base.css' => "body { color: #222222; background-color: #ffffff; }\n",
            'styles/site.css' => "a:link { color: #003366; }\nnav { padding: 1em; }\n",
        ];
        foreach ($pages as $at => $name) {
            $files[$path($name)] = self::page($name, $at, $pages, $path, $isInFolder);
            $files["images/$name.png"] = Samples::png(9 + $at);
        }
        $requirements = self::requirements($seed, array_map($path, $pages), $pages);
        $scheme = $seed->chance(30) ? ['off_per_fault' => 0.5, 'most_off' => 3] : [];
        if ($seed->chance(20)) {
            $scheme['total'] = $seed->number(20, 100);
        }
        $yaml = Yaml::dump(array_filter([
            'title' => 'Work', 'marking' => $scheme, 'requirements' => $requirements,
        ]), 5, 2);

        $starter = ['index.html' => ExampleFiles::page('<p class="change">Your town</p>', 'Start')];

        return new self(
            $files,
            BriefReader::read($yaml),
            $yaml,
            new Materials(starter: Samples::site($starter), model: Samples::site($files)),
            new Packing('ann.zip', ['ann_site'], 'ann', address: 'https://ann.example/site/'),
        );
    }

    /** @param  array<string, string>  $files */
    public function check(array $files): CheckReport
    {
        $site = new Site(
            'ann_site',
            array_map(
                fn (int|string $path, string $bytes) => new SourceFile((string) $path, $bytes),
                array_keys($files),
                $files,
            ),
            $this->packing,
        );

        return Check::run($site, $this->brief, materials: $this->materials);
    }

    /**
     * @param  list<string>  $pages
     * @param  \Closure(string): string  $path
     */
    private static function page(string $name, int $at, array $pages, \Closure $path, bool $isInFolder): string
    {
        $up = $isInFolder && $name !== 'index' ? '../' : '';
        $to = fn (string $other) => $up.($up !== '' && $other !== 'index' ? basename($path($other)) : $path($other));
        $to = fn (string $other) => match (true) {
            $up === '' => $path($other),
            $other === 'index' => '../index.html',
            default => "$other.html",
        };
        $label = fn (string $other) => $other === 'index' ? 'Home' : ucfirst($other);
        $menu = implode("\n", array_map(
            fn (string $other) => "        <li><a href=\"{$to($other)}\">{$label($other)}</a></li>",
            $pages,
        ));
        $count = count($pages);
        [$on, $back] = [$pages[($at + 1) % $count], $pages[($at + $count - 1) % $count]];

        return <<<HTML
            <!DOCTYPE html>
            <html lang="en">
              <head>
                <meta charset="utf-8">
                <title>Marrow Sound - {$label($name)}</title>
                <link rel="stylesheet" href="{$up}styles/base.css">
                <link rel="stylesheet" href="{$up}styles/site.css">
              </head>
              <body>
                <header>
                  <h1>The $name of the island</h1>
                </header>
                <nav>
                  <ul>
            $menu
                  </ul>
                </nav>
                <main>
                  <h2>About the $name</h2>
                  <p>Here is what there is to say of the $name. It stands by the water. People go there at noon.</p>
                  <img src="{$up}images/$name.png" alt="A view of the $name" width="30">
                  <table>
                    <tr>
                      <td>Ebb</td>
                      <td>Flow of the $name</td>
                    </tr>
                  </table>
                </main>
                <p><a href="{$to($back)}">Back</a> <a href="{$to($on)}">On</a></p>
                <footer>
                  <p><a href="https://museum.example/" target="_blank">The museum</a> &copy; Marrow Sound</p>
                </footer>
              </body>
            </html>

            HTML;
    }

    /**
     * @param  list<string>  $paths
     * @param  list<string>  $names
     * @return list<array<string, mixed>>
     */
    private static function requirements(Seed $seed, array $paths, array $names): array
    {
        $menu = array_map(
            fn (string $path, string $name) => [$path => $name === 'index' ? 'Home' : ucfirst($name)],
            $paths,
            $names,
        );
        $one = $seed->oneOf($paths);
        $pool = [
            ['kind' => 'files', 'names' => [...$paths, 'styles/base.css', 'styles/site.css']],
            ['kind' => 'files', 'names' => ['images/*.png'], 'at_least' => count($names)],
            ['kind' => 'files', 'names' => ['*.html', 'pages/*.html'], 'at_least' => count($paths)],
            ['kind' => 'names', 'files' => '*.*'],
            ['kind' => 'names', 'archive' => '{student.handle}.zip', 'folder' => '{student.handle}_site'],
            ['kind' => 'skeleton', 'parts' => [['header' => ['h1']], 'nav', 'main', 'footer']],
            ['kind' => 'skeleton', 'parts' => ['header, div#header', 'main', 'footer']],
            ['kind' => 'count', 'selector' => 'td', 'exactly' => 2, 'pages' => [$one]],
            ['kind' => 'count', 'selector' => 'main img', 'exactly' => 1],
            ['kind' => 'count', 'selector' => 'h1', 'exactly' => 1],
            ['kind' => 'count', 'selector' => 'td', 'at_least' => 2 * count($paths), 'per' => 'site'],
            ['kind' => 'count', 'each_of' => ['table', 'ul', 'img']],
            ['kind' => 'text', 'selector' => 'main', 'at_least' => 10],
            ['kind' => 'text', 'selector' => 'main p', 'at_least' => 2, 'at_most' => 4, 'of' => 'sentences'],
            ['kind' => 'text', 'has' => ['Marrow Sound'], 'pages' => 'home'],
            ['kind' => 'attributes', 'selector' => 'img', 'has' => ['alt', 'width']],
            ['kind' => 'attributes', 'selector' => 'td', 'only' => []],
            ['kind' => 'titles', 'pattern' => 'Marrow Sound - *'],
            ['kind' => 'headings', 'inside' => 'header', 'differ' => true],
            ['kind' => 'headings', 'level' => 2, 'pattern' => 'About the *'],
            ['kind' => 'navigation', 'menu' => $menu],
            ['kind' => 'navigation', 'pattern' => 'menu'],
            ['kind' => 'navigation', 'pattern' => 'ring', 'order' => $paths, 'on' => 'On', 'back' => 'Back'],
            ['kind' => 'link', 'to' => $one, 'pages' => 'home'],
            ['kind' => 'link', 'to' => 'https://museum.example/', 'new_tab' => true],
            ['kind' => 'stylesheets', 'sheets' => ['styles/base.css', 'styles/site.css']],
            ['kind' => 'stylesheets', 'uses' => ['nav { padding }'], 'inline' => 'refused', 'embedded' => 'refused'],
            ['kind' => 'pictures', 'at_least' => 1, 'differ' => true],
            ['kind' => 'pictures', 'selector' => 'main img', 'at_least' => 1],
            ['kind' => 'contrast'],
            ['kind' => 'markup', 'rules' => ['markup']],
            ['kind' => 'markup', 'rules' => ['link', 'nav'], 'at_most' => $seed->number(0, 2)],
            ['kind' => 'markup', 'references' => ['©']],
            ['kind' => 'indentation', 'step' => 2],
            ['kind' => 'starter', 'replaced' => ['Your town'], 'kept' => ['Marrow Sound']],
            ['kind' => 'address', 'https' => true],
            ['kind' => 'model'],
            ['kind' => 'look'],
        ];
        $chosen = self::some($seed, $pool, $seed->number(3, 14));
        // To a ring alone the entries of a menu are links too many.
        if (in_array('ring', array_column($chosen, 'pattern'), true) && array_column($chosen, 'menu') === []) {
            $chosen[] = ['kind' => 'navigation', 'menu' => $menu];
        }

        return array_map(fn (array $fields, int $at) => [
            'id' => "r$at", 'title' => "Requirement $at", ...$fields, ...self::credit($seed, $fields['kind']),
        ], $chosen, array_keys($chosen));
    }

    /** @return array<string, mixed> */
    private static function credit(Seed $seed, string $kind): array
    {
        $points = $seed->number(1, 40) / 4;
        $credit = match ($seed->number(0, $kind === 'look' ? 0 : 4)) {
            3 => ['points' => $points, 'credit' => 'all'],
            4 => ['steps' => [0 => $points, 1 => round($points / 2, 2), 4 => round($points / 5, 2)]],
            default => ['points' => $points],
        };

        return $credit + ($seed->chance(10) ? ['counts' => 'on its own'] : []);
    }

    /**
     * @template T
     *
     * @param  list<T>  $all
     * @return list<T> some of them, in their order
     */
    private static function some(Seed $seed, array $all, int $count): array
    {
        while (count($all) > $count) {
            unset($all[$seed->oneOf(array_keys($all))]);
        }

        return array_values($all);
    }
}

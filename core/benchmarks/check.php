<?php

// What the rules cost beside reading, on a synthetic site of 60 pages and about 1.5 MB with every kind of content and a
// few slips:
// php [-d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M] core/benchmarks/check.php
// [--pages=60] [--rules]

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Example\ExampleFiles;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\GarbageCollector;
use InkedMargin\Core\Source\SourceFile;

require __DIR__.'/../../vendor/autoload.php';

ini_set('memory_limit', '2G');
$options = getopt('', ['pages::', 'rules']);
$count = (int) ($options['pages'] ?? 60);

/** @return iterable<string, string> */
function syntheticPages(int $count): iterable
{
    $name = fn (int $page) => $page === 0 ? 'index.html' : "page-$page.html";
    $menu = implode(
        "\n",
        array_map(
            fn (int $page) => "    <li><a href=\"{$name($page)}\">Page $page</a></li>",
            range(0, min(11, $count - 1)),
        ),
    );
    for ($page = 0; $page < $count; $page++) {
        $body = '';
        for ($part = 0; $part < 40; $part++) {
            $body .= "  <section id=\"part-$part\">\n    <h2>Part $part of page $page</h2>\n    <p "
                ."class=\"intro\">What there is to say of part $part on page $page, with <em>some</em> <a href=\"{$name(
                    ($page + $part) % $count,
                )}#part-$part\">link</a> &amp; more words, and <strong>again</strong>.</p>\n"
                ."    <img src=\"picture-$page.svg\" alt=\"Picture $part of page $page\">\n    <ul>\n      <li>One "
                    ."of $part</li>\n      <li>Two of $part</li>\n    </ul>\n    <table>\n      <tr>\n        "
                        ."<td>$part</td>\n        <td>$page</td>\n      </tr>\n    </table>\n  </section>\n";
        }
        yield $name($page) => ExampleFiles::page(
            "<nav>\n  <ul>\n$menu\n  </ul>\n</nav>\n<main>\n$body</main>\n<footer>\n  <p align=\"left\">End "
                ."of $page<br><br>\n</footer>",
            "Site - Page $page",
        );
    }
}

$files = [];
foreach (syntheticPages($count) as $path => $bytes) {
    $files[] = new SourceFile($path, $bytes);
}
$site = new Site('synthetic', $files);
$bytes = array_sum(array_map(fn (SourceFile $file) => strlen($file->bytes), $files));
/** The best of five, in seconds, as a machine's noise only ever adds. */
function best(Closure $work): float
{
    $best = INF;
    for ($run = 0; $run < 5; $run++) {
        $began = hrtime(true);
        GarbageCollector::disabledDuring(fn (): mixed => $work());
        $best = min($best, (hrtime(true) - $began) / 1e9);
    }

    return $best;
}

$reading = best(fn () => array_map(fn (SourceFile $file) => count(MarkupReader::read($file)->errors), $files));
$parsed = best(fn () => ParsedSite::of($site));
$rules = array_fill_keys(array_column(Catalogue::rules(), 'id'), INF);
$checking = INF;
for ($run = 0; $run < 5; $run++) {
    // Each run begins with a site of which no fact is known: a rule that asks for one first pays for it.
    $exam = new Examination(ParsedSite::of($site), Brief::none());
    $checking = min($checking, GarbageCollector::disabledDuring(function () use ($exam, &$rules): float {
        $all = 0.0;
        foreach (Catalogue::rules() as $rule) {
            $began = hrtime(true);
            iterator_to_array($rule->check($exam), false);
            $took = (hrtime(true) - $began) / 1e9;
            $rules[$rule->id] = min($rules[$rule->id], $took);
            $all += $took;
        }

        return $all;
    }));
}
printf("%d pages, %.2f MB\n", $count, $bytes / 1e6);
printf("reading the markup                 %.3f s\n", $reading);
printf("with mends, outlines and addresses %.3f s\n", $parsed);
$shares = [100 * $checking / $reading, 100 * $checking / $parsed];
printf(
    "all rules                          %.3f s, %.0f %% of the first and %.0f %% of the second\n",
    $checking,
    ...$shares,
);
if (isset($options['rules'])) {
    arsort($rules);
    foreach (array_slice($rules, 0, 15) as $id => $seconds) {
        printf("  %-30s %.3f s\n", $id, $seconds);
    }
}

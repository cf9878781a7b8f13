<?php

// How quickly stylesheets are read, beside css-tree (Node, with positions) and sabberworm/php-css-parser, on the sheets
// of ten templates from npm; and how the cost of a cascade grows with rules and pages:
// php core/benchmarks/style.php

declare(strict_types=1);

use InkedMargin\Core\Example\ExampleFiles;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Style\Syntax\Parser;
use Sabberworm\CSS\Parser as Sabberworm;

require __DIR__.'/../../vendor/autoload.php';

ini_set('memory_limit', '3G');

/** @return list<string> */
function templateSheets(): array
{
    return glob(dirname(__DIR__, 2).'/node_modules/startbootstrap-*/dist/css/*.css') ?: [];
}

/** Seconds: the best of some passes. */
function quickest(Closure $work, int $passes = 5): float
{
    $best = INF;
    for ($pass = 0; $pass < $passes; $pass++) {
        $begun = hrtime(true);
        $work();
        $best = min($best, (hrtime(true) - $begun) / 1e9);
    }

    return $best;
}

if (($argv[1] ?? '') === 'ours') {
    $sheets = array_map(fn (string $path) => (string) file_get_contents($path), templateSheets());
    echo json_encode(
        [
            'bytes' => array_sum(array_map(strlen(...), $sheets)),
            'seconds' => quickest(fn () => array_map(Parser::sheet(...), $sheets)),
        ],
    );
    exit;
}
if (($argv[1] ?? '') === 'sabberworm') {
    $sheets = array_map(fn (string $path) => (string) file_get_contents($path), array_slice(templateSheets(), 0, 2));
    echo json_encode([
        'bytes' => array_sum(array_map(strlen(...), $sheets)),
        'seconds' => quickest(fn () => array_map(fn (string $css) => (new Sabberworm($css))->parse(), $sheets), 2),
    ]);
    exit;
}
if (($argv[1] ?? '') === 'cascade') {
    [, , $rules, $pages] = $argv;
    $css = implode("\n", array_map(
        fn (int $n) => ".block-$n .item-$n > p { margin: {$n}px 0; color: #222; padding: 1px; border: 1px solid #ccc }",
        range(1, (int) $rules),
    ));
    $body = implode("\n", array_map(
        fn (int $n) => "<div class=\"block-$n\"><div class=\"item-$n\"><p>Text $n</p></div></div>",
        range(1, 200),
    ));
    $files = [new SourceFile('site.css', $css)];
    for ($page = 0; $page < (int) $pages; $page++) {
        $files[] = new SourceFile(
            $page === 0 ? 'index.html' : "p$page.html",
            ExampleFiles::page($body, "P$page", "<link rel=\"stylesheet\" href=\"site.css\">\n"),
        );
    }
    $site = ParsedSite::of(new Site('s', $files));
    $styles = $site->fact(SiteStyles::class);
    $seconds = quickest(fn () => array_map($styles->computedOf(...), array_values($site->pages)), 1);
    echo json_encode(['bytes' => strlen($css), 'seconds' => $seconds]);
    exit;
}

/** @return array{bytes: int, seconds: float} */
function measured(string $command): array
{
    /** @var array{bytes: int, seconds: float} */
    return json_decode((string) shell_exec($command), true, flags: JSON_THROW_ON_ERROR);
}

$php = escapeshellarg(PHP_BINARY).' -d memory_limit=3G -d opcache.enable_cli=1 -d opcache.jit_buffer_size=64M';
$self = escapeshellarg(__FILE__);
$list = escapeshellarg((string) json_encode(templateSheets()));
$results = [
    'ours, JIT on' => measured("$php -d opcache.jit=tracing $self ours"),
    'ours, JIT off' => measured("$php -d opcache.jit=off $self ours"),
    'css-tree' => measured("echo $list | node ".escapeshellarg(__DIR__.'/style.mjs')),
    'sabberworm' => measured("$php -d opcache.jit=tracing $self sabberworm"),
];
$ours = $results['ours, JIT on']['bytes'] / $results['ours, JIT on']['seconds'];
printf("%-16s %8s %12s\n", 'reading', 'MB/s', 'ours / it');
foreach ($results as $name => $result) {
    $speed = $result['bytes'] / $result['seconds'];
    printf("%-16s %8.2f %12.2f\n", $name, $speed / 1e6, $ours / $speed);
}
printf("\n%-28s %10s\n", 'cascade of 600 elements', 'ms a page');
foreach ([[1_000, 10], [5_000, 10], [10_000, 10], [5_000, 100]] as [$rules, $pages]) {
    $result = measured("$php -d opcache.jit=tracing $self cascade $rules $pages");
    printf("%-28s %10.2f\n", number_format($rules)." rules, $pages pages", 1_000 * $result['seconds'] / $pages);
}

<?php

declare(strict_types=1);

// How fast pages are read: about 10 MB of Debian's postgresql-doc-15, by this parser and by three others, in one run.
//
//   php core/benchmarks/parse.php
//
// Each runs in a process of its own, five times; its best time counts, as the machine's noise only ever adds. Ours
// reports everything it reports in use: the tree with its spans, and all parse errors.
// parse5 (npm) runs with source locations and parse errors on. MB is a million bytes.

use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;
use Masterminds\HTML5;

require __DIR__.'/../../vendor/autoload.php';

const PAGES = '/usr/share/doc/postgresql-doc-15/html/*.html';
const BYTES = 10_000_000;
const PASSES = 5;

/** @return array<string, string> */
function pages(): array
{
    $pages = [];
    for ($bytes = 0, $files = glob(PAGES) ?: []; $files !== [] && $bytes < BYTES; $bytes += strlen($pages[$file])) {
        $file = array_shift($files);
        $pages[$file] = (string) file_get_contents($file);
    }

    return $pages;
}

function measure(string $parser): void
{
    $pages = pages();
    $parse = match ($parser) {
        'ours' => fn (string $page) => MarkupReader::read(new SourceFile('page.html', $page)),
        'masterminds' => fn (string $page) => (new HTML5)->loadHTML($page),
        default => fn (string $page) => (new DOMDocument)->loadHTML($page, LIBXML_NOERROR | LIBXML_NOWARNING),
    };
    $parse((string) reset($pages));
    $largest = 0.0;
    $seconds = INF;
    for ($pass = 0; $pass < PASSES; $pass++) {
        $begun = hrtime(true);
        foreach ($pages as $page) {
            memory_reset_peak_usage();
            $before = memory_get_usage();
            $document = $parse($page);
            $largest = max($largest, (memory_get_peak_usage() - $before) / max(strlen($page), 20_000));
            unset($document);
        }
        $seconds = min($seconds, (hrtime(true) - $begun) / 1e9);
    }
    echo json_encode([
        'seconds' => $seconds,
        'bytes' => array_sum(array_map(strlen(...), $pages)),
        'memory' => $largest,
    ]);
}

/** @return array{seconds: float, bytes: int, memory: float} */
function run(string $command): array
{
    /** @var array{seconds: float, bytes: int, memory: float} */
    return json_decode((string) shell_exec($command), true, flags: JSON_THROW_ON_ERROR);
}

if (isset($argv[1])) {
    measure($argv[1]);
    exit;
}

$php = escapeshellarg(PHP_BINARY).' -d memory_limit=4G -d opcache.enable_cli=1 -d opcache.jit_buffer_size=64M';
$self = escapeshellarg(__FILE__);
$results = [
    'ours, JIT on' => run("$php -d opcache.jit=tracing $self ours"),
    'ours, JIT off' => run("$php -d opcache.jit=off $self ours"),
    'parse5 with locations' => run('node '.escapeshellarg(__DIR__.'/parse5.mjs')),
    'masterminds/html5' => run("$php -d opcache.jit=tracing $self masterminds"),
    'libxml' => run("$php -d opcache.jit=tracing $self libxml"),
];
$ours = $results['ours, JIT on']['bytes'] / $results['ours, JIT on']['seconds'];
printf("%-24s %8s %12s %s\n", '', 'MB/s', 'ours / it', 'peak memory / size of page');
foreach ($results as $name => $result) {
    $speed = $result['bytes'] / $result['seconds'];
    printf(
        "%-24s %8.2f %12.2f %s\n",
        $name,
        $speed / 1e6,
        $ours / $speed,
        str_contains($name, 'ours') ? sprintf('%.1f', $result['memory']) : '',
    );
}

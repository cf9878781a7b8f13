<?php

declare(strict_types=1);

// How long a large site takes, and for what: the pages of Debian's apache2-doc, about 2,000 of them, and a half and a
// quarter of
// them to see whether time and memory grow with the bytes.
//
//   php core/benchmarks/map.php
//
// Parsing is measured beside PHP's DOM extension (libxml), which reads the same pages in the same run.

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

require __DIR__.'/../../vendor/autoload.php';

const FOLDER = '/usr/share/doc/apache2-doc/manual';

/** @return list<SourceFile> */
function files(int $oneOf): array
{
    $files = [];
    $all = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(FOLDER, FilesystemIterator::SKIP_DOTS));
    /** @var SplFileInfo $file */
    foreach ($all as $file) {
        $path = substr($file->getPathname(), strlen(FOLDER) + 1);
        if (preg_match('/\.(?:html|css)$/', $path) === 1 && crc32($path) % $oneOf === 0) {
            $files[] = new SourceFile($path, (string) file_get_contents($file->getPathname()));
        }
    }

    return $files;
}

function seconds(Closure $work): float
{
    $begun = hrtime(true);
    $work();

    return (hrtime(true) - $begun) / 1e9;
}

if (! isset($argv[1])) {
    printf(
        "%6s %6s %9s %9s %9s %9s %9s %10s %8s\n",
        'pages',
        'MB',
        'libxml',
        'parsing',
        'addresses',
        'map',
        'rules',
        'memory MB',
        's / MB',
    );
    foreach ([4, 2, 1] as $oneOf) {
        passthru(
            escapeshellarg(PHP_BINARY)
                .' -d memory_limit=8G -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M '
                .escapeshellarg(__FILE__)
                ." $oneOf",
        );
    }
    exit;
}

// As Check::run() does it.
gc_disable();
$files = files((int) $argv[1]);
$pages = array_filter($files, fn (SourceFile $file) => $file->extension() === 'html');
$bytes = array_sum(array_map(fn (SourceFile $file) => strlen($file->bytes), $pages)) / 1e6;
$libxml = seconds(fn () => array_map(
    fn (SourceFile $file) => (new DOMDocument)->loadHTML($file->bytes, LIBXML_NOERROR | LIBXML_NOWARNING),
    $pages,
));
$parsing = seconds(fn () => array_map(function (SourceFile $file): void {
    MarkupReader::read($file);
}, $pages));
$began = hrtime(true);
$reading = ParsedSite::of(new Site('apache2-doc', $files));
$reads = (hrtime(true) - $began) / 1e9;
$exam = new Examination($reading, Brief::none());
$mapping = seconds(fn () => array_map($reading->fact(...), [LinkMap::class, MenuSurvey::class, PageNames::class]));
$found = 0;
$slowest = [];
$rules = seconds(function () use ($exam, &$found, &$slowest): void {
    foreach (Catalogue::rules() as $rule) {
        $slowest[$rule->id] = seconds(function () use ($rule, $exam, &$found): void {
            $found += iterator_count((fn () => yield from $rule->check($exam))());
        });
    }
});
$memory = memory_get_peak_usage() / 1e6;
printf(
    "%6d %6.1f %9.2f %9.2f %9.2f %9.2f %9.2f %10.0f %8.2f\n",
    count($pages),
    $bytes,
    $libxml,
    $parsing,
    max(0, $reads - $parsing),
    $mapping,
    $rules,
    $memory,
    ($reads + $mapping + $rules) / $bytes,
);
if ((int) $argv[1] === 1) {
    arsort($slowest);
    printf(
        "%d findings; the slowest rules: %s\n",
        $found,
        implode(
            ', ',
            array_map(
                fn (string $id, float $time) => sprintf('%s %.2f s', $id, $time),
                array_slice(array_keys($slowest), 0, 6),
                array_slice($slowest, 0, 6),
            ),
        ),
    );
}

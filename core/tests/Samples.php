<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Example\ExampleFiles;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use ZipArchive;

/** Small sites and archives for tests. */
final class Samples
{
    /** @param  array<string, string>  $files contents by path */
    public static function site(array $files): Site
    {
        return new Site(
            'sample',
            array_map(fn (string $path, string $bytes) => new SourceFile($path, $bytes), array_keys($files), $files),
        );
    }

    /** A page with nothing amiss, its body and head to be added to. */
    public static function page(string $body = '', string $title = 'A page', string $head = ''): string
    {
        return "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<title>$title</title>\n$head</head>\n<body><h1>$title</h1>\n$body\n</body>\n</html>\n";
    }

    /**
     * A site of pages that hold a menu of links only, each as "label>target".
     *
     * @param  array<string, list<string>>  $pages  links by page
     * @param  array<string, string>  $titles  by page; the file name for those that are left out
     */
    public static function linked(array $pages, array $titles = []): ParsedSite
    {
        $site = [];
        foreach ($pages as $path => $links) {
            $body = implode(' ', array_map(function (string $link): string {
                [$label, $to] = explode('>', $link);

                return "<a href=\"$to\">$label</a>";
            }, $links));
            $title = $titles[$path] ?? ucfirst(pathinfo($path, PATHINFO_FILENAME));
            $site[$path] = ExampleFiles::page("<nav>$body</nav>", $title);
        }

        return ParsedSite::of(self::site($site));
    }

    /** A picture of so many pixels, of one colour. */
    public static function png(int $width = 9, int $height = 1): string
    {
        $chunk = fn (string $type, string $data) => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));

        return "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NNC5', $width, $height, 8, 0, 0, 0, 0)).$chunk(
            'IDAT',
            (string) gzcompress(str_repeat("\0".str_repeat("\x80", $width), $height)),
        ).$chunk('IEND', '');
    }

    /** @param  array<string, string>  $files */
    public static function check(array $files, ?Brief $brief = null): CheckReport
    {
        return Check::run(self::site($files), $brief ?? Brief::none());
    }

    /**
     * What was found, each as "rule file:line:column" or "rule file" where nothing of the file is pointed at.
     *
     * @return list<string>
     */
    public static function found(CheckReport $report): array
    {
        return array_map(fn (PlacedFinding $placed) => $placed->finding->rule.' '.$placed->finding->file
            .($placed->start->offset === 0 && $placed->end->offset === 0 ? '' : ":{$placed->start->line}:{$placed->start->column}"), $report->findings);
    }

    /**
     * @param  array<string, string>  $files
     * @param  \Closure(ZipArchive): void|null  $change  made before the archive is closed
     * @return string path of a zip in the temporary folder
     */
    public static function zip(array $files, ?\Closure $change = null): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'sample');
        register_shutdown_function(fn () => is_file($path) && unlink($path));
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($files as $name => $bytes) {
            $zip->addFromString((string) $name, $bytes);
        }
        if ($change !== null) {
            $change($zip);
        }
        $zip->close();

        return $path;
    }
}

<?php

declare(strict_types=1);

namespace App\Printing;

use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;
use RuntimeException;

/** Prints a page to PDF. It reaches no network; that no script runs is for the page to say, by its policy. */
final readonly class Chromium
{
    private const SECONDS = 60;

    /** @throws RuntimeException when nothing was printed */
    public static function print(string $html): string
    {
        $program = PrintedPage::chromium() ?? throw new RuntimeException('There is no Chromium on this machine.');
        $folder = sys_get_temp_dir().'/margin-print-'.Str::random(16);
        File::makeDirectory($folder, 0o700);
        try {
            File::put("$folder/page.html", $html);
            Process::timeout(self::SECONDS)->env(['HOME' => $folder])->run([
                $program, '--headless', '--disable-gpu', '--no-pdf-header-footer',
                '--host-resolver-rules=MAP * ~NOTFOUND', '--disable-dev-shm-usage', "--user-data-dir=$folder/profile",
                // Chromium refuses its own sandbox to root.
                ...(posix_getuid() === 0 ? ['--no-sandbox'] : []),
                "--print-to-pdf=$folder/page.pdf", "file://$folder/page.html",
            ])->throw();
            $pdf = File::exists("$folder/page.pdf") ? File::get("$folder/page.pdf") : '';

            return str_starts_with($pdf, '%PDF') ? $pdf : throw new RuntimeException('Chromium printed nothing.');
        } finally {
            File::deleteDirectory($folder);
        }
    }
}

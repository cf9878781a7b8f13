<?php

declare(strict_types=1);

use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Source\SourceFile;

// Archives made by other programs, with their habits of names and flags: Info-ZIP 3.0, Python's zipfile, 7-Zip, bsdtar
// (libarchive) and Java's jar, as Debian 12 has them. bin/test installs all but jar, which is tried where there is one.

const ZIPPERS = [
    'Info-ZIP' => 'cd "$SITE" && zip -qr "$OUT" .',
    'Info-ZIP, without folders and compression' => 'cd "$SITE" && zip -qrD0 "$OUT" .',
    'Info-ZIP, as a stream with sizes behind the files' => 'cd "$SITE" && zip -qr - . | cat > "$OUT"',
    'Info-ZIP, with 64-bit sizes' => 'cd "$SITE" && zip -qrfz "$OUT" .',
    'Python' => 'cd "$SITE" && python3 -m zipfile -c "$OUT" .',
    '7-Zip' => 'cd "$SITE" && 7z a -tzip -bso0 -bsp0 "$OUT" .',
    'bsdtar' => 'cd "$SITE" && bsdtar -a -cf "$OUT" *',
    'jar' => 'jar -cMf "$OUT" -C "$SITE" .',
];

const ZIPPED = [
    'index.html' => '<!DOCTYPE html><title>Home</title>', 'pages/tides and times.html' => 'x',
    'images/Möwe.png' => "\x89PNG\r\n\x1a\n\0\xff",
    'images/潮.png' => 'y', 'empty.css' => '', 'a/b/c/0' => 'deep', 'large.txt' => 'z',
];

it('unpacks to the same files, whoever packed them', function (string $command) {
    $tool = preg_match('/(?:^|&& )(zip|python3|7z|bsdtar|jar)\b/', $command, $found) === 1 ? $found[1] : '';
    if ($tool === 'jar' && exec('command -v jar') === '') {
        $this->markTestSkipped('There is no jar on this machine.');
    }
    $site = sys_get_temp_dir().'/margin-zipped-'.bin2hex(random_bytes(6));
    $files = ['large.txt' => str_repeat('The tide is out. ', 20_000)] + ZIPPED;
    foreach ($files as $path => $bytes) {
        is_dir(dirname("$site/$path")) || mkdir(dirname("$site/$path"), 0o700, true);
        file_put_contents("$site/$path", $bytes);
    }
    mkdir("$site/nothing in it");
    $out = "$site.zip";
    exec(
        'SITE='.escapeshellarg($site).' OUT='.escapeshellarg($out)." LC_ALL=C.UTF-8 sh -c '$command' 2>&1",
        $said,
        $code,
    );
    expect($code)->toBe(0, implode("\n", $said));
    $read = array_map(fn (SourceFile $file) => $file->bytes, (new ArchiveReader)->read($out, 'site.zip')->files());
    ksort($files, SORT_STRING);

    expect(array_map(strval(...), array_keys($read)))->toBe(array_map(strval(...), array_keys($files)))
        ->and(array_values($read))->toBe(array_values($files));
})->with(array_map(fn (string $command) => [$command], ZIPPERS));

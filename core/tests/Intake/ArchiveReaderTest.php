<?php

declare(strict_types=1);

use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Intake\Limits;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\RefusalReason;
use InkedMargin\Core\Tests\Samples;

it('finds the site in whatever way it was zipped', function (array $files, string $name, array $paths) {
    $site = (new ArchiveReader)->read(Samples::zip(array_fill_keys($files, 'x')), 'roll-7.zip');

    expect([$site->name, array_keys($site->files())])->toBe([$name, $paths]);
})->with([
    'files not in a folder' => [['index.html', 'pages/a.html'], 'roll-7', ['index.html', 'pages/a.html']],
    'one top folder' => [['almanac/index.html', 'almanac/pages/a.html'], 'almanac', ['index.html', 'pages/a.html']],
    'a folder in a folder' => [['a/b/index.html', 'a/b/c/x.html'], 'b', ['c/x.html', 'index.html']],
    'one folder of pages, no home page' => [['almanac/pages/a.html'], 'almanac', ['pages/a.html']],
    'litter beside the top folder' => [
        ['__MACOSX/almanac/._index.html', 'almanac/index.html'],
        'almanac',
        ['__MACOSX/almanac/._index.html', 'index.html'],
    ],
    'backslashes between folders' => [
        ['almanac\\index.html', 'almanac\\pages\\a.html'],
        'almanac',
        ['index.html', 'pages/a.html'],
    ],
]);

it('refuses what could do harm, and names the entry', function (Closure $make, RefusalReason $reason, string $named) {
    $path = $make();
    try {
        (new ArchiveReader(new Limits(
            files: 5,
            depth: 4,
            fileBytes: 3_000_000,
            totalBytes: 5_000_000,
        )))->read($path, 'work.zip');
    } catch (Refusal $refusal) {
        expect($refusal->reason)->toBe($reason)->and($refusal->getMessage())->toContain($named);

        return;
    }
    $this->fail('The archive was taken.');
})->with(function () {
    $noise = fn (int $bytes) => (string) openssl_encrypt(
        str_repeat("\0", $bytes),
        'aes-128-ctr',
        'key',
        OPENSSL_RAW_DATA,
        str_repeat("\0", 16),
    );
    $file = function (string $bytes) {
        file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'sample'), $bytes);

        return $path;
    };
    // ZipArchive tidies names as it adds them, so a bad one is written over an entry's name of the same length.
    $renamed = function (string $from, string $to) use ($file) {
        return $file(str_replace($from, $to, (string) file_get_contents(Samples::zip([$from => 'x']))));
    };

    yield 'not a zip' => [fn () => $file('{\rtf1 my site}'), RefusalReason::NotAnArchive, 'work.zip'];
    yield 'an empty file' => [fn () => $file(''), RefusalReason::NotAnArchive, 'work.zip'];
    yield 'an empty zip' => [fn () => $file("PK\x05\x06".str_repeat("\0", 18)), RefusalReason::Empty, 'work.zip'];
    yield 'folders only' => [
        fn () => Samples::zip([], fn (ZipArchive $zip) => $zip->addEmptyDir('a')),
        RefusalReason::Empty,
        'work.zip',
    ];
    yield 'a path out of the archive' => [
        fn () => $renamed('aa/x.html', '../x.html'),
        RefusalReason::EscapingPath,
        '../x.html',
    ];
    yield 'a path out of it with backslashes' => [
        fn () => $renamed('a/aa/x.html', 'a\\..\\x.html'),
        RefusalReason::EscapingPath,
        'x.html',
    ];
    yield 'an absolute path' => [
        fn () => $renamed('aetc/passwd', '/etc/passwd'),
        RefusalReason::AbsolutePath,
        '/etc/passwd',
    ];
    yield 'a drive letter' => [fn () => $renamed('Cc/x.html', 'C:/x.html'), RefusalReason::AbsolutePath, 'C:/x.html'];
    yield 'a name that is too long' => [
        fn () => Samples::zip([str_repeat('a', 420).'.html' => 'x']),
        RefusalReason::BadName,
        'aaa.html',
    ];
    yield 'a link' => [
        fn () => Samples::zip(
            ['way' => '/etc/passwd'],
            fn (ZipArchive $zip) => $zip->setExternalAttributesName('way', ZipArchive::OPSYS_UNIX, 0120777 << 16),
        ),
        RefusalReason::Link,
        'way',
    ];
    yield 'a password' => [
        fn () => Samples::zip(
            ['a.html' => 'x'],
            fn (ZipArchive $zip) => $zip->setEncryptionName('a.html', ZipArchive::EM_AES_256, 'secret'),
        ),
        RefusalReason::Encrypted,
        'a.html',
    ];
    yield 'the same name twice' => [
        fn () => $file(
            str_replace(
                'b.html',
                'a.html',
                (string) file_get_contents(Samples::zip(['a.html' => 'x', 'b.html' => 'y'])),
            ),
        ),
        RefusalReason::Twice,
        'a.html',
    ];
    yield 'too many files' => [
        fn () => Samples::zip(array_fill_keys(range(1, 6), 'x')),
        RefusalReason::TooManyFiles,
        '5',
    ];
    yield 'too many folders deep' => [
        fn () => Samples::zip(['a/b/c/d/e.html' => 'x']),
        RefusalReason::TooDeep,
        'a/b/c/d/e.html',
    ];
    yield 'a bomb' => [
        fn () => Samples::zip(['bomb.html' => str_repeat("\0", 2_000_000)]),
        RefusalReason::Ratio,
        'bomb.html',
    ];
    yield 'a bomb of small entries' => [
        fn () => Samples::zip(array_map(fn (int $nth) => str_repeat("$nth", 900_000), [1, 2, 3])),
        RefusalReason::Ratio,
        'times is the most',
    ];
    yield 'one file too large' => [
        fn () => Samples::zip(['big.png' => $noise(3_100_000)]),
        RefusalReason::FileTooLarge,
        'big.png',
    ];
    yield 'too large in all' => [
        fn () => Samples::zip(['a.png' => $noise(2_900_000), 'b.png' => $noise(2_900_000)]),
        RefusalReason::TotalTooLarge,
        'has 5.8 MB; 5 MB is the most',
    ];
    yield 'damaged bytes' => [
        fn () => $file(
            substr_replace(
                (string) file_get_contents(Samples::zip(['a.html' => str_repeat('abcdefgh', 500)])),
                'XXXXXXXX',
                45,
                8,
            ),
        ),
        RefusalReason::Unreadable,
        'a.html',
    ];
});

it('refuses a folder with a link in it, and one that is not there', function () {
    $folder = sys_get_temp_dir().'/linked-'.getmypid();
    mkdir($folder);
    symlink('/etc/passwd', "$folder/way");

    expect(fn () => (new FolderReader)->read($folder))->toThrow(Refusal::class, 'way')
        ->and(fn () => (new FolderReader)->read("$folder/none"))->toThrow(Refusal::class, 'none');
    unlink("$folder/way");
    rmdir($folder);
});

it('refuses an entry whose bytes are not those that were packed, packed or stored', function (int $method) {
    $path = Samples::zip(
        ['index.html' => 'Ebb at noon, flow at six.'],
        fn (ZipArchive $zip) => $zip->setCompressionName('index.html', $method),
    );
    $bytes = (string) file_get_contents($path);
    $at = (int) strpos($bytes, 'index.html') + strlen('index.html') + 4;
    $bytes[$at] = chr(ord($bytes[$at]) ^ 1);
    file_put_contents($path, $bytes);

    expect(fn () => (new ArchiveReader)->read($path, 'work.zip'))->toThrow(Refusal::class, 'is damaged');
})->with(['stored' => [ZipArchive::CM_STORE], 'packed' => [ZipArchive::CM_DEFLATE]]);

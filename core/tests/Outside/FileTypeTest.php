<?php

declare(strict_types=1);

use InkedMargin\Core\Source\FileType;
use InkedMargin\Core\Source\PictureSize;
use InkedMargin\Core\Source\SourceFile;

// Source: MIME Sniffing Standard, 6.1 (image type pattern matching), 7.1 (rules for identifying an unknown MIME type)
// and 7.2 (binary
// data bytes); the signatures of RTF and of older office documents from their formats, from memory.
it(
    'tells what a file is by its first bytes',
    fn (string $bytes, FileType $type) => expect(FileType::of($bytes))->toBe($type),
)->with([
    'PNG' => ["\x89PNG\r\n\x1a\nx", FileType::Png],
    'JPEG' => ["\xff\xd8\xff\xe0x", FileType::Jpeg],
    'GIF 87' => ['GIF87ax', FileType::Gif],
    'GIF 89' => ['GIF89ax', FileType::Gif],
    'WebP' => ["RIFF\x10\0\0\0WEBPVP", FileType::Webp],
    'BMP' => ["BM\x36\0\0\0\0\0", FileType::Bmp],
    'icon' => ["\0\0\1\0\1\0", FileType::Icon],
    'zip' => ["PK\x03\x04\x14", FileType::Zip],
    'PDF' => ['%PDF-1.7', FileType::Pdf],
    'RTF' => ['{\rtf1\ansi', FileType::Rtf],
    'an older document' => ["\xd0\xcf\x11\xe0\xa1\xb1\x1a\xe1x", FileType::OldOffice],
    'UTF-16, big end first' => ["\xfe\xff\0a", FileType::Utf16],
    'UTF-16, little end first' => ["\xff\xfea\0", FileType::Utf16],
    'words that begin like a picture' => ['BM is a name', FileType::Text],
    'text' => ["<p>\ta\r\n\x0c\x1b</p>", FileType::Text],
    'nothing' => ['', FileType::Text],
    'a byte that no text has' => ["a\x00b", FileType::Binary],
    'markup with such a byte, which browsers read all the same' => ["<p>a\x00b", FileType::Text],
    'another' => ["a\x0eb", FileType::Binary],
]);

// Reference: PHP's fileinfo extension (libmagic) on the demo's own pictures, and getimagesize for how large they are.
it('agrees with the system’s own reader about the pictures of the demo', function () {
    $names = ['image/png' => FileType::Png, 'image/jpeg' => FileType::Jpeg];
    $pictures = glob(__DIR__.'/../../../demo/hand-ins/*/*/*/images/*.png') ?: [];
    foreach ($pictures as $path) {
        $bytes = (string) file_get_contents($path);
        $size = PictureSize::of(new SourceFile($path, $bytes));

        expect(FileType::of($bytes))->toBe(
            $names[mime_content_type($path)],
        )->and([$size?->width, $size?->height])->toBe(array_slice((array) getimagesize($path), 0, 2));
    }
    expect(count($pictures))->toBeGreaterThan(50);
});

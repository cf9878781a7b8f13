<?php

declare(strict_types=1);

namespace InkedMargin\Core\Example;

use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** The files of an example. A page of which only the body is written is put into a page with nothing wrong about it. */
final readonly class ExampleFiles
{
    /** Of files of more bytes only the start is shown. */
    private const MAX_SHOWN = 2_000;

    private const START = 200;

    /** @param  list<SourceFile>  $written  as they lie in the folder */
    public function __construct(private array $written)
    {
    }

    public function site(Packing $packing): Site
    {
        return new Site(
            'example',
            array_map(fn (SourceFile $file) => new SourceFile($file->path, self::whole($file)), $this->written),
            $packing,
        );
    }

    /** What is here and not in another: one page as it is, files under their names. */
    public function besides(self $other): string
    {
        if (count($this->written) === 1 && count($other->written) === 1 && $this->isOneBody() && $other->isOneBody()) {
            return rtrim($this->written[0]->bytes);
        }
        $theirs = array_map(fn (SourceFile $file) => "{$file->path}\n{$file->bytes}", $other->written);
        $parts = [];
        foreach ($this->written as $file) {
            if (! in_array("{$file->path}\n{$file->bytes}", $theirs, true)) {
                $parts[] = "{$file->path}\n".self::shown($file->bytes);
            }
        }
        $names = array_map(fn (SourceFile $file) => $file->path, $this->written);

        return implode("\n", $parts === [] ? $names : [implode("\n\n", $parts)]);
    }

    /**
     * A page around a body, with nothing wrong about it.
     *
     * @param  string  $title  also its main heading, where the body has none
     */
    public static function page(string $body, string $title = 'Marrow Sound', string $head = ''): string
    {
        $heading = preg_match('/<h1\b/i', $body) === 1 ? '' : "<h1>$title</h1>\n";

        return "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta "
            ."charset=\"utf-8\">\n<title>$title</title>\n$head</head>\n<body>\n"
            ."$heading$body\n</body>\n</html>\n";
    }

    private function isOneBody(): bool
    {
        return $this->written[0]->path === 'index.html' && self::isBody($this->written[0]);
    }

    private static function whole(SourceFile $file): string
    {
        if (! self::isBody($file)) {
            return $file->bytes;
        }
        $title = $file->path === 'index.html' ? 'Marrow Sound' : ucfirst(pathinfo($file->path, PATHINFO_FILENAME));

        return self::page(rtrim($file->bytes, "\n"), $title);
    }

    /** Whether it is a page that begins with its body: neither a whole page, nor text or an archive named so. */
    private static function isBody(SourceFile $file): bool
    {
        return preg_match('/\.html?$/', $file->path) === 1
            && preg_match('/<html|<!doctype|^[^<]*$|^PK/i', $file->bytes) !== 1;
    }

    private static function shown(string $bytes): string
    {
        if ($bytes === '') {
            return '(empty)';
        }
        if (! mb_check_encoding($bytes, 'UTF-8') || trim($bytes) === '') {
            return '(binary)';
        }

        return strlen($bytes) < self::MAX_SHOWN
            ? rtrim($bytes)
            : rtrim(mb_strcut($bytes, 0, self::START))."\n…\n(".number_format(strlen($bytes)).' bytes in all)';
    }
}

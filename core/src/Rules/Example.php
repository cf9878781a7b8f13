<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

/** What a rule finds, and how it should be: documentation for students, and the first test of the rule. */
final readonly class Example
{
    /**
     * @param  string  $variant  of the rule
     * @param  string|array<string, string>  $bad the body of a page, or files by path; it gives exactly this one
     *     finding
     * @param  string|array<string, string>  $good  the same as it should be; it gives none
     * @param  string  $brief  fields of a requirement that both are held against; '' for none
     * @param  array{string, string}|null  $packing  the name of the archive, bad and good
     * @param  array{list<string>, list<string>}|null  $folders  the folders around the site, bad and good
     * @param  array<'starter'|'model'|'copy'|'sheets', array<string, string>>  $materials  files that the assignment
     *     gives
     * @param  array{string, string}|null  $address  where it was published, bad and good
     */
    public function __construct(
        public string $variant,
        public string|array $bad,
        public string|array $good,
        public string $brief = '',
        public ?array $packing = null,
        public ?array $folders = null,
        public array $materials = [],
        public ?array $address = null,
    ) {
    }

    /** @return array<string, string> bytes by path */
    public function badFiles(): array
    {
        return self::files($this->bad);
    }

    /** @return array<string, string> */
    public function goodFiles(): array
    {
        return self::files($this->good);
    }

    /** @return array<string, string>|null bytes by path; null where the assignment gives none */
    public function given(string $what): ?array
    {
        return isset($this->materials[$what]) ? self::files($this->materials[$what]) : null;
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

    /**
     * @param  string|array<string, string>  $content
     * @return array<string, string>
     */
    private static function files(string|array $content): array
    {
        $files = [];
        foreach (is_string($content) ? ['index.html' => $content] : $content as $path => $bytes) {
            $isBody = preg_match('/\.html?$/', $path) === 1
                && preg_match('/<html|<!doctype|^[^<]*$|^PK/i', $bytes) !== 1;
            $name = $path === 'index.html' ? 'Marrow Sound' : ucfirst(pathinfo($path, PATHINFO_FILENAME));
            $files[$path] = $isBody ? self::page($bytes, $name) : $bytes;
        }

        return $files;
    }
}

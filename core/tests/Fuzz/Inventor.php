<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Fuzz;

use InkedMargin\Core\Brief\Kinds;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Terms;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Invents hostile pages, sheets, names, briefs, sites and archives. The same seed invents the same. */
final class Inventor
{
    private const TAGS = [
        'html', 'head', 'body', 'title', 'h1', 'h2', 'h6', 'p', 'a', 'img', 'ul', 'ol', 'li', 'table', 'tr', 'td', 'th',
        'caption', 'div', 'span', 'nav', 'main', 'header', 'footer', 'section', 'form', 'input', 'button', 'select',
        'option', 'script', 'style', 'textarea', 'svg', 'math', 'mi', 'template', 'br', 'hr', 'link', 'meta', 'base',
        'b', 'i', 'em', 'strong', 'font', 'center', 'foter', 'haeder', 'image', '1', 'x-y', 'frameset', 'frame',
        'noscript', 'iframe', 'dl', 'dt', 'dd', 'pre', 'label', 'q',
    ];

    private const NAMES = [
        'href', 'src', 'alt', 'class', 'id', 'herf', 'lan', 'lang', 'rel', 'charset', '1', '0', '-1', 'x y', 'style',
        'target', 'name', 'content', 'http-equiv', 'action', 'srcset', 'width', 'viewBox', 'xlink:href', 'onclick',
        'ARIA-label', '"', '=', '<', "\u{e9}",
    ];

    private const VALUES = [
        '',
        '#',
        '1',
        '0',
        'index.html',
        'a.html',
        '../a.html',
        'A.html',
        'pages/b.html#1',
        'site.css',
        'https://x.example/',
        'htp://x',
        'x@y.example',
        '+44 1234567',
        'javascript:void(0)',
        'file:///C:/a',
        'http://127.0.0.1/',
        '//',
        'http://[',
        ' a.html ',
        '/a.png',
        'stylesheet',
        'utf-8',
        'utf-16',
        '_blank',
        'blank',
        '.x',
        '#x',
        '0; url=a.html',
        'a.png 1x, b.png 2x',
        'url(x.png)',
        "\0",
        "\xff",
        '“a”',
        '%00',
        '%',
        '&',
        '&amp',
        '<p>',
        "a\nb",
        '123',
    ];

    private const TEXT = [
        'Tides',
        'Home',
        'Birds and gulls are here.',
        ' ',
        "\n",
        "\t",
        '1',
        '0',
        '<',
        '>',
        '&',
        '&copy',
        '&#0;',
        '&nosuch;',
        'Lorem ipsum dolor sit amet',
        "\0",
        "\xc3",
        "\u{1F426}",
        'é',
        '```html',
        '<!--',
        '-->',
        '<!- x ->',
        '<![CDATA[',
        ']]>',
        '<?php',
        '</',
        '< p>',
        '</ p>',
        '<!DOCTYPE html>',
        '<DOCTYPE html>',
        '"',
        "'",
        'next',
        'back',
        "\r",
        "\u{a0}",
        'x',
    ];

    private const PATHS = [
        'index.html', 'a.html', 'A.HTML', '0', '123', '1.html', 'b c.html', 'pages/b.html', 'pages/index.html',
        'css/site.css', 'site.css', 'a.png', '0/0', '.DS_Store', 'x.html.txt', "\u{e9}.html", "a\0b.html", '..a',
        'deep/er/and/deeper.html', 'readme.md', '404.html', 'de/index.html',
    ];

    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** One page: a mixture of tags and text, or a right one with some bytes changed. */
    public function page(): string
    {
        $body = '';
        $open = [];
        for ($n = $this->number(0, 60); $n > 0; $n--) {
            $tag = $this->oneOf(self::TAGS);
            $body .= match ($this->number(0, 9)) {
                0, 1, 2, 3 => "<$tag".$this->attributes().$this->oneOf(['>', '>', '>', '>', '/>', '']),
                4, 5, 6 => '</'.($open !== [] && $this->chance(70) ? array_pop($open) : $tag)
                    .$this->oneOf(['>', '>', '>', '']),
                default => $this->oneOf(self::TEXT),
            };
            $open[] = $tag;
        }
        if ($this->chance(60)) {
            $body = "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<title>{$this->oneOf(self::TEXT)}</title>\n<link rel=\"stylesheet\" href=\"site.css\">\n</head>\n<body>\n<nav><a href=\"index.html\">Home</a> <a href=\"a.html\">A</a> <a href=\"pages/b.html\">B</a></nav>\n$body\n</body>\n</html>\n";
        }

        return $this->chance(40) ? $this->mutated($body) : $body;
    }

    /** @return array<int|string, string> bytes by path */
    public function site(): array
    {
        $files = [];
        for ($n = $this->number(1, 9); $n > 0; $n--) {
            $path = $this->oneOf(self::PATHS);
            $files[$path] = match (true) {
                str_ends_with($path, '.css') => $this->sheet(),
                str_contains(strtolower($path), 'htm') => $this->page(),
                default => $this->oneOf(["\x89PNG\r\n\x1a\n", '', 'x', "\xff\xd8\xff", $this->page()]),
            };
        }
        if ($this->chance(80)) {
            $files['index.html'] ??= $this->page();
        }

        return $files;
    }

    public function sheet(): string
    {
        $css = '';
        for ($n = $this->number(0, 30); $n > 0; $n--) {
            $css .= $this->oneOf([
                'p',
                '.a',
                '#b',
                '{',
                '}',
                ':',
                ';',
                'url(',
                ')',
                '"',
                "'",
                '/*',
                '*/',
                '@import "x.css"',
                '@media',
                'color',
                'red',
                '\\',
                "\n",
                'url("a.png")',
                'url(b.png',
                '1',
                "\0",
                "\xff",
            ]).' ';
        }

        return $css;
    }

    /** A brief, some of them right. */
    public function brief(): string
    {
        $lines = ['title: Trial', 'requirements:'];
        $fields = [
            'names: [index.html, a.html]', 'names: "*.html"', 'at_least: 1', 'at_most: 0', 'others: false',
            'archive: "{student.handle}.zip"', 'folder: site',
            'files: "*"', 'pattern: ring', 'pattern: menu', 'pattern: chain', 'pattern: branching', 'pattern: index',
            'pattern: "Site - *"', 'differ: true',
            'parts: [header, nav, main]', 'parts: [{header: [h1]}]', 'selector: td', 'selector: "p >"', 'exactly: 2',
            'exactly: -1', 'per: site',
            'sheets: [site.css]', 'same_everywhere: true', 'own: plain', 'menu: [{index.html: Home}]', 'to: a.html',
            'to: "https://x.example"', 'label: A',
            'new_tab: true', 'alt: true', 'rules: [markup]', 'references: ["©"]', 'step: 2', 'replaced: [Lorem ipsum]',
            'kept: ["<nav>"]', 'choices: 99999999',
            'has: "[a]*"', 'has: "/(a+)+b/"', 'has: [alt, "width=*"]', 'has_not: lorem', 'of: sentences',
            'copy: index.html', 'copy: a.html', 'alone: true',
            'only: [href]', 'only: []', 'picture_size: true', 'at_most_width: 40', 'level: 2', 'inside: header',
            'compare: true', 'mark: note',
            'elements: [p, ul]', 'host: "*.example"', 'path: "/*"', 'https: true', 'scale: [bad, good]',
            'each_of: [ul, table]', 'largest: 1',
            'level: AA', 'uses: ["a:hover"]', 'steps: {0: 4, 2: 1}', 'selector: main', 'selector: img', 'selector: a',
            'points: .inf', 'points: 1e12', 'depth: 3', '"on": next', 'back: back', 'pages: home', 'pages: [0]',
            'weight: heavy', 'message: "\ud800"', 'credit: all',
        ];
        for ($n = $this->number(1, 5); $n > 0; $n--) {
            $kind = $this->oneOf(Kinds::ALL);
            $known = array_map(fn (Field $field) => $field->name, [...$kind::fields(), ...Terms::fields()]);
            $isKnown = fn (string $field) => in_array(trim(explode(':', $field)[0], '"'), $known, true);
            // A brief with one field too many is none at all.
            $some = array_values($this->chance(90) ? array_filter($fields, $isKnown) : $fields);
            $wanted = $this->random->pickArrayKeys($some, min(count($some), $this->number(1, 5)));
            $named = [];
            foreach ($wanted as $key) {
                $named[explode(':', $some[$key])[0]] ??= $some[$key];
            }
            $lines[] = "  - {id: {$this->oneOf(['a', 'b', '1', 'x.y'])}$n, kind: {$kind::kind()}, title: T, "
                .implode(', ', $named).'}';
        }
        $brief = implode("\n", $lines)."\n";

        return $this->chance(20) ? $this->mutated($brief) : $brief;
    }

    /** Bytes with some of them changed, doubled or gone. */
    public function mutated(string $bytes): string
    {
        for ($n = $this->number(1, 6); $n > 0 && $bytes !== ''; $n--) {
            $at = $this->number(0, strlen($bytes) - 1);
            $length = $this->number(0, min(12, strlen($bytes) - $at));
            $bytes = substr_replace(
                $bytes,
                $this->oneOf([
                    '',
                    '',
                    "\0",
                    '<',
                    '>',
                    '"',
                    "'",
                    '=',
                    '/',
                    '1',
                    "\xff",
                    '&',
                    ' ',
                    "\n",
                    substr($bytes, $at, $length),
                ]),
                $at,
                $length,
            );
        }

        return $bytes;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $items
     * @return T
     */
    public function oneOf(array $items): mixed
    {
        return $items[$this->number(0, count($items) - 1)];
    }

    public function number(int $least, int $most): int
    {
        return $this->random->getInt($least, max($least, $most));
    }

    public function chance(int $percent): bool
    {
        return $this->number(1, 100) <= $percent;
    }

    private function attributes(): string
    {
        $written = '';
        for ($n = $this->number(0, 3); $n > 0; $n--) {
            $quote = $this->oneOf(['"', '"', '"', "'", '', '“']);
            $written .= $this->oneOf([' ', ' ', ' ', "\n", '']).$this->oneOf(self::NAMES)
                .($this->chance(80) ? '='.$quote.$this->oneOf(self::VALUES).($this->chance(90) ? $quote : '') : '');
        }

        return $written;
    }
}

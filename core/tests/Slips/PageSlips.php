<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Slips;

/**
 * One slip each on a page of the quay: the page, what is written, what in its place, and what is found. From memory of
 * what beginners write; the sections of the standards are those of the rules.
 */
final class PageSlips
{
    /**
     * On sites of three and of four pages.
     *
     * @return array<string, array{string, string, string, list<string>}>
     */
    public static function menus(): array
    {
        $item = fn (string $file, string $label) => "        <li><a href=\"$file.html\">$label</a></li>\n";
        $boats = $item('boats', 'Boats');
        $tides = $item('tides', 'Tides');
        $home = $item('index', 'Home');
        $current = ' aria-current="page"';
        $slips = [
            'an entry left out on the home page' => ['index', $tides, '', ['nav/menu-differs:missing-entry']],
            'an entry left out on the second page' => ['boats', $tides, '', ['nav/menu-differs:missing-entry']],
            'an entry left out on the third page' => ['tides', $boats, '', ['nav/menu-differs:missing-entry']],
            'the way home left out' => ['boats', $home, '', ['nav/menu-differs:missing-entry']],
            'an entry twice' => ['boats', $tides, $tides.$tides, ['nav/menu-differs:twice']],
            'the way home twice' => ['tides', $home, $home.$home, ['nav/menu-differs:twice']],
            'the mark of the page on another entry' => [
                'boats',
                "<li><a href=\"boats.html\"$current>Boats</a></li>\n        <li><a href=\"tides.html\">",
                "<li><a href=\"boats.html\">Boats</a></li>\n        <li><a href=\"tides.html\"$current>",
                ['nav/wrong-current'],
            ],
            'the mark left on the way home' => [
                'tides',
                "<a href=\"index.html\">Home</a></li>\n        <li><a href=\"boats.html\">Boats</a></li>\n        <li><a href=\"tides.html\"$current>",
                "<a href=\"index.html\"$current>Home</a></li>\n        <li><a href=\"boats.html\">Boats</a></li>\n        <li><a href=\"tides.html\">",
                ['nav/wrong-current'],
            ],
            'two marks' => [
                'boats', '<a href="tides.html">', "<a href=\"tides.html\"$current>", ['nav/wrong-current'],
            ],
            'an entry with the label of another' => [
                'boats', '<a href="tides.html">Tides', '<a href="tides.html">Boats', ['link/label-mismatch'],
            ],
        ];

        return $slips;
    }

    /** @return array<string, array{string, string, string, list<string>}> */
    public static function references(): array
    {
        $missing = ['markup/missing-id'];

        return [
            'a label for another id' => ['crew', 'for="name"', 'for="nam"', $missing],
            'a label with a hash' => ['crew', 'for="note"', 'for="#note"', $missing],
            'a label in another case' => ['crew', 'for="note"', 'for="Note"', $missing],
            'a label for a paragraph' => ['crew', 'for="note"', 'for="hint"', ['markup/missing-id:kind']],
            'an id that was renamed' => ['crew', '<input id="name"', '<input id="your-name"', $missing],
            'headers that are none' => ['boats', 'headers="berths"', 'headers="berth"', $missing],
            'headers of two, one of them wrong' => ['boats', 'headers="berths"', 'headers="name bertsh"', $missing],
            'a list that is none' => ['crew', 'list="boats"', 'list="boat"', $missing],
            'a list that is a form' => ['crew', 'list="boats"', 'list="join"', ['markup/missing-id:kind']],
            'a form that is none' => ['crew', 'form="join"', 'form="jion"', $missing],
            'a form that is a paragraph' => ['crew', 'form="join"', 'form="hint"', ['markup/missing-id:kind']],
            'a map that is none' => ['tides', 'usemap="#channel"', 'usemap="#chanel"', $missing],
            'a map without its hash' => ['tides', 'usemap="#channel"', 'usemap="channel"', ['markup/bad-attribute-value']],
            'a popover that is none' => ['crew', 'popovertarget="rules"', 'popovertarget="rule"', $missing],
            'a popover that is no popover' => ['crew', 'id="rules" popover', 'id="rules"', ['markup/missing-id:kind']],
            'a description that is none' => ['crew', 'aria-describedby="hint"', 'aria-describedby="hints"', $missing],
            'a label by ARIA that is none' => [
                'boats', '<table>', '<table aria-labelledby="our-boats">', $missing,
            ],
            'a symbol that is none' => ['tides', 'href="#wave"', 'href="#waves"', $missing],
        ];
    }

    /** @return array<string, array{string, string, string, list<string>}> */
    public static function schemes(): array
    {
        $mail = fn (string $address, string $variant) => [
            'index', 'mailto:quay@example.org', $address, ["link/bad-scheme:$variant"],
        ];
        $link = fn (string $address, string $variant) => [
            'index', 'behind the old mill', "by <a href=\"$address\" target=\"_blank\">the mill</a>", ["link/bad-scheme:$variant"],
        ];

        return [
            'mail without an at sign' => $mail('mailto:quay.example.org', 'mail'),
            'mail with slashes' => $mail('mailto://quay@example.org', 'mail'),
            'mail with a space behind the colon' => $mail('mailto: quay@example.org', 'mail'),
            'mail with a space in it' => $mail('mailto:the quay@example.org', 'mail'),
            'mail to nobody' => $mail('mailto:', 'mail'),
            'mail with two at signs' => $mail('mailto:quay@@example.org', 'mail'),
            'mail without a host' => $mail('mailto:quay@', 'mail'),
            'mail by a misspelt scheme' => $mail('mailt:quay@example.org', 'near'),
            'mail by a longer scheme' => $mail('mail-to:quay@example.org', 'near'),
            'mail by half a scheme' => $mail('mail:quay@example.org', 'near'),
            'a call with slashes' => $mail('tel://+441632960001', 'telephone'),
            'a call with letters' => $mail('tel:call-us', 'telephone'),
            'a call with spaces' => $mail('tel:+44 1632 960001', 'telephone'),
            'a call to nobody' => $mail('tel:', 'telephone'),
            'a call by a misspelt scheme' => $mail('tell:+441632960001', 'near'),
            'a call by another word' => $mail('phone:+441632960001', 'near'),
            'a scheme twice' => $link('http://https://mill.example.org/', 'twice'),
            'a scheme twice without slashes' => $link('https:https://mill.example.org/', 'twice'),
            'the same scheme twice' => $link('https://https://mill.example.org/', 'twice'),
            'two letters swapped' => $link('htpts://mill.example.org/', 'near'),
            'a letter too many' => $link('httpss://mill.example.org/', 'near'),
            'a letter left out' => $link('htps://mill.example.org/', 'near'),
        ];
    }

    /** @return array<string, array{string, string, string, list<string>}> */
    public static function copies(): array
    {
        return [
            'the description' => ['boats', 'know of Boats at', 'know of Tides at', ['content/same-text:description']],
            'the title' => ['boats', '<title>Boats', '<title>Tides', ['content/same-title']],
            'the heading' => ['boats', '<h1>Boats', '<h1>Tides', ['content/title-not-heading']],
            'a heading below the first' => [
                'boats', 'Our three boats', 'When the tides turn', ['content/same-heading:section'],
            ],
            'a paragraph' => [
                'boats',
                'Three boats lie here, and one of them leaks a little at night.',
                'High water comes an hour later each day, so look it up first.',
                ['content/same-text'],
            ],
            'a link in a sentence to its own page' => [
                'boats',
                'Three boats lie here',
                'Look up the <a href="boats.html">tides</a>, for three boats lie here',
                ['link/label-mismatch'],
            ],
        ];
    }

    /** @return array<string, array{string, string, string, list<string>}> */
    public static function access(): array
    {
        return [
            'a field without a label' => ['crew', '<label for="name">Your name</label> ', '', ['markup/missing-label']],
            'a field with a placeholder alone' => [
                'crew', '<label for="name">Your name</label> <input', '<input placeholder="Your name"', ['markup/missing-label'],
            ],
            'a field with words beside it' => [
                'crew', '<label for="name">Your name</label>', 'Your name', ['markup/missing-label'],
            ],
            'a text area without a label' => ['crew', '<label for="note">Note</label>', 'Note', ['markup/missing-label']],
            'a choice without a label' => [
                'crew',
                '<label>Your boat <input name="boat" list="boats"></label>',
                'Your boat <select name="boat"><option>Tern</option></select>',
                ['markup/missing-label'],
            ],
            'an empty label' => ['crew', 'Your name</label>', '</label>', ['markup/missing-label']],
            'a label that says what it is for by its text' => [
                'crew', '<label for="name">Your', '<label>Your', ['markup/missing-label'],
            ],
            'a frame without a title' => ['crew', ' title="Map of the quay"', '', ['markup/missing-frame-title']],
            'a frame with an empty title' => ['crew', 'title="Map of the quay"', 'title=""', ['markup/missing-frame-title']],
            'a picture made wider' => ['index', 'width="400"', 'width="600"', ['content/distorted-picture']],
            'a picture made square' => ['index', 'height="300"', 'height="400"', ['content/distorted-picture']],
            'width and height swapped' => [
                'index', 'width="400" height="300"', 'width="300" height="400"', ['content/distorted-picture'],
            ],
        ];
    }

    /** @return array<string, array{string, string, string, list<string>}> */
    public static function tags(): array
    {
        $unclosed = ['markup/unclosed-element'];

        return [
            'a table that is never closed' => ['boats', "    </table>\n", '', $unclosed],
            'a table with half an end tag' => ['boats', '</table>', '<table>', ['markup/unclosed-element:no-slash']],
            'a choice that is never closed' => [
                'crew',
                '<label>Your boat <input name="boat" list="boats"></label>',
                '<label>Your boat <select name="boat"><option>Tern</option></label>',
                $unclosed,
            ],
            'a row that is never closed and needs not be' => ['boats', '<td headers="berths">2</td></tr>', '<td headers="berths">2</td>', []],
            'a header that is never closed' => ['boats', "  </header>\n", '', $unclosed],
            'a form that is never closed' => ['crew', "    </form>\n", '', $unclosed],
            'a map that is never closed' => ['tides', '</map>', '', $unclosed],
            'a label that is never closed' => ['crew', 'Your name</label>', 'Your name', $unclosed],
            'a button that is never closed' => ['crew', 'Rules</button>', 'Rules', $unclosed],
            'a text area that is never closed' => ['crew', '</textarea>', '', ['markup/unclosed-element:raw-text']],
            'the head ended as a header' => ['boats', '</head>', '</header>', ['markup/unclosed-element:other']],
            'the head ended as a heading' => ['boats', '</head>', '</heading>', ['markup/unclosed-element:other']],
            'no start tag of the list' => ['boats', "      <ul>\n", '', ['markup/stray-end-tag:no-start']],
            'no start tag of a main part' => ['boats', "  <main>\n", '', ['markup/stray-end-tag']],
            'no start tag of the table' => ['boats', "    <table>\n", '', ['markup/stray-end-tag:no-start']],
            'a list directly in a list' => [
                'boats',
                '<li><a href="tides.html">Tides</a></li>',
                '<ul><li><a href="tides.html">Tides</a></li></ul>',
                ['markup/content-model:child'],
            ],
            'doubled quotation marks' => ['boats', 'id="name"', 'id=""name""', ['markup/parse-error:extra-quote']],
            'a style with a colon for its equals sign' => [
                'boats', '<p>Three', '<p style:"color: #333333">Three', ['markup/parse-error:colon'],
            ],
            'a stylesheet by an a' => [
                'boats', '<link rel="stylesheet" href="css/site.css">', '<a rel="stylesheet" href="css/site.css">',
                ['markup/content-model:sheet'],
            ],
            'an id with a space' => ['boats', '<p>Three', '<p id="three boats">Three', ['markup/bad-attribute-value']],
            'a rank skipped behind a broken end tag' => ['boats', '</h2>', '</h3>', ['markup/unclosed-element:other']],
            'a footer inside main' => [
                'boats', "  </main>\n  <footer>", '  <footer>', $unclosed,
            ],
            'hfre' => ['boats', '<a href="tides.html">', '<a hfre="tides.html">', ['markup/unknown-attribute:misspelt']],
            'traget' => [
                'index', 'behind the old mill', 'by <a href="https://mill.example.org/" traget="_blank">the mill</a>',
                ['markup/unknown-attribute:misspelt'],
            ],
            'stlye' => ['boats', '<p>Three', '<p stlye="color: #333333">Three', ['markup/unknown-attribute:misspelt']],
            'clas' => ['boats', '<p>Three', '<p clas="lamp">Three', ['markup/unknown-attribute:misspelt']],
            'heigth' => ['index', 'height="300"', 'heigth="300"', ['markup/unknown-attribute:misspelt']],
            'a disk address without a slash' => ['boats', 'href="tides.html"', 'href="D:tides.html"', ['link/local-path:own-computer']],
        ];
    }

    /** @return array<string, array{string, string, string, list<string>}> in the stylesheet, told by the page's names */
    public static function sheetSyntax(): array
    {
        return [
            'a semicolon for the colon' => ['css', 'margin: 0; }', 'font-size; 13px }', ['style/syntax:missing-colon']],
            'a class with its dot on the page' => ['boats', '<p>Three', '<p class=".lamp">Three', ['markup/bad-attribute-value:sign']],
        ];
    }
}

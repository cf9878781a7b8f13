<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests;

use InkedMargin\Core\Example\ExampleFiles;

/**
 * Slips of the hand on a site that is right otherwise: those that job.md lists and that beginners make (common practice,
 * no source).
 */
final class Slips
{
    /**
     * Pages about an island with a menu, a picture, two headings and two paragraphs each.
     *
     * @return array<string, string>
     */
    public static function site(): array
    {
        $names = ['index' => 'Home', 'birds' => 'Birds', 'boats' => 'Boats', 'tides' => 'Tides', 'seals' => 'Seals'];
        $menu = implode(
            "\n",
            array_map(
                fn (string $file, string $label) => "<li><a href=\"$file.html\">$label</a></li>",
                array_keys($names),
                $names,
            ),
        );
        $site = [];
        foreach ($names as $file => $label) {
            $body = "<nav>\n<ul>\n$menu\n</ul>\n</nav>\n<main>\n<img src=\"$file.svg\" alt=\"A view of the $file\">\n<h2>More on the $file</h2>\n"
                ."<p>All about the $file on this page, and some more words to read.</p>\n<p>See $file in May.</p>\n</main>\n<footer><p>Marrow Sound</p></footer>";
            $site["$file.html"] = ExampleFiles::page($body, $file === 'index' ? 'Marrow Sound' : $label);
            $site["$file.svg"] = '<svg xmlns="http://www.w3.org/2000/svg"/>';
        }

        return $site;
    }

    /** @return array<string, array{string, string, string}> what is written on boats.html, what in its place, what is found */
    public static function onOnePage(): array
    {
        return [
            // copied as a template
            'the title of the page that was copied' => ['<title>Boats', '<title>Birds', 'content/same-title 5'],
            'its heading' => ['<h1>Boats', '<h1>Birds', 'content/title-not-heading 8'],
            'its smaller heading' => ['More on the boats', 'More on the birds', 'content/same-heading:section 20'],
            'its picture' => ['src="boats.svg"', 'src="birds.svg"', 'content/same-picture:picture 19'],
            'its alt text' => ['A view of the boats', 'A view of the birds', 'content/same-picture:alt 19'],
            'its paragraph' => ['All about the boats on', 'All about the birds on', 'content/same-text 21'],
            'its short paragraph' => ['See boats', 'See birds', 'content/same-text 22'],
            'a title that an editor put there' => ['<title>Boats', '<title>Untitled', 'content/default-title 5'],
            'placeholder text' => ['See boats in May.', 'Lorem ipsum dolor sit amet.', 'content/placeholder 22'],
            // menus
            'a menu entry left out' => ["<li><a href=\"tides.html\">Tides</a></li>\n", '', 'nav/menu-differs:missing-entry 9'],
            'a menu entry under other words' => ['>Tides<', '>Waves<', 'nav/menu-differs:renamed 14'],
            'a menu entry on the address of another page' => [
                'href="tides.html">', 'href="seals.html">', 'link/label-mismatch 14',
            ],
            'two menu entries swapped' => [
                "<li><a href=\"tides.html\">Tides</a></li>\n<li><a href=\"seals.html\">Seals</a></li>",
                "<li><a href=\"seals.html\">Seals</a></li>\n<li><a href=\"tides.html\">Tides</a></li>",
                'nav/menu-order 9',
            ],
            // links
            'a letter too many' => ['href="tides.html"', 'href="tiddes.html"', 'link/missing-file:link 14'],
            'two letters swapped' => ['href="tides.html"', 'href="tidse.html"', 'link/missing-file:link 14'],
            'a capital' => ['href="tides.html"', 'href="Tides.html"', 'link/letter-case 14'],
            'another extension' => ['href="tides.html"', 'href="tides.htm"', 'link/missing-file:link 14'],
            'no extension' => ['href="tides.html"', 'href="tides"', 'link/missing-file:link 14'],
            'a folder that is not there' => ['href="tides.html"', 'href="pages/tides.html"', 'link/wrong-folder 14'],
            'a folder too far up' => ['href="tides.html"', 'href="../tides.html"', 'link/outside-site 14'],
            'a path of the own disk' => [
                'href="tides.html"',
                'href="file:///C:/Users/imre/tides.html"',
                'link/local-path:own-computer 14',
            ],
            'a server of the own machine' => [
                'href="tides.html"',
                'href="http://127.0.0.1:5500/tides.html"',
                'link/local-path:own-computer 14',
            ],
            'a backslash' => ['href="tides.html"', 'href=".\tides.html"', 'link/local-path:backslash 14'],
            'a placeholder' => ['href="tides.html"', 'href="#"', 'link/empty:placeholder 14'],
            'an empty address' => ['href="tides.html"', 'href=""', 'link/empty:empty 14'],
            'a space before the address' => ['href="tides.html"', 'href=" tides.html"', 'link/bad-address:space-around 14'],
            'a space after it' => ['href="tides.html"', 'href="tides.html "', 'link/bad-address:space-around 14'],
            'an address from the root of the server' => ['src="boats.svg"', 'src="/boats.svg"', 'link/bad-address:root 19'],
            'a place that is not on the page' => ['href="tides.html"', 'href="tides.html#high"', 'link/missing-fragment 14'],
            'a scheme with a letter left out' => [
                'See boats',
                'See <a href="htp://x.example/" target="_blank">there</a>',
                'link/bad-scheme:near 22',
            ],
            'a slash left out' => [
                'See boats',
                'See <a href="http:/x.example/" target="_blank">there</a>',
                'link/bad-address:scheme 22',
            ],
            'the colon left out' => [
                'See boats',
                'See <a href="https//x.example/" target="_blank">there</a>',
                'link/bad-address:scheme 22',
            ],
            'no scheme' => ['See boats', 'See <a href="www.x.example" target="_blank">there</a>', 'link/missing-scheme 22'],
            'an e-mail address' => ['See boats', 'Write <a href="imre@x.example">to Imre</a>', 'link/bad-address:mail 22'],
            'a telephone number' => ['See boats', 'Call <a href="+44 1632 960001">us</a>', 'link/bad-address:telephone 22'],
            'a window called blank' => [
                'See boats',
                'See <a href="https://x.example/" target="blank">there</a>',
                'markup/bad-attribute-value:target 22',
            ],
            'a picture in another letter case' => ['src="boats.svg"', 'src="Boats.svg"', 'link/letter-case 19'],
            'a picture with another extension' => ['src="boats.svg"', 'src="boats.png"', 'link/missing-file:link 19'],
            'a picture that is not there' => ['src="boats.svg"', 'src="volcano.png"', 'link/missing-file:link 19'],
            'no alt text' => [' alt="A view of the boats"', '', 'markup/missing-alt:none 19'],
            // attributes
            'herf' => ['href="tides.html"', 'herf="tides.html"', 'markup/unknown-attribute:misspelt 14'],
            'scr' => ['src="boats.svg"', 'scr="boats.svg"', 'markup/unknown-attribute:misspelt 19'],
            'lan' => ['lang="en"', 'lan="en"', 'markup/unknown-attribute:misspelt 2'],
            'href on a picture' => ['src="boats.svg"', 'href="boats.svg"', 'markup/unknown-attribute:misspelt 19'],
            'a dot in a class' => ['<p>See', '<p class=".big">See', 'markup/bad-attribute-value:sign 22'],
            'a hash in an id' => ['<p>See', '<p id="#may">See', 'markup/bad-attribute-value:sign 22'],
            'an id twice' => ['<p>See', '<p id="a">So.</p><p id="a">See', 'markup/duplicate-id 22'],
            'an attribute twice' => ['<p>See', '<p class="a" class="b">See', 'markup/duplicate-attribute 22'],
            'no equals sign' => ['alt="A view', 'alt"A view', 'markup/parse-error:no-equals 19'],
            'no closing quotation mark' => ['href="tides.html"', 'href="tides.html', 'markup/parse-error:no-quote 14'],
            'no opening quotation mark' => ['href="tides.html"', 'href=tides.html"', 'markup/parse-error:no-quote 14'],
            'quotation marks of two kinds' => ['href="tides.html"', 'href="tides.html\'', 'markup/parse-error:no-quote 14'],
            'a quotation mark too many' => ['href="tides.html"', 'href="tides.html""', 'markup/parse-error:extra-quote 14'],
            'curly quotation marks' => ['href="tides.html"', 'href=“tides.html”', 'markup/parse-error:curly-quotes 14'],
            'the quotation mark of an alt text, which swallows the line' => [
                'of the boats">',
                'of the boats>',
                'markup/parse-error:no-quote 19',
            ],
            // tags
            'no slash in the end tag of a heading' => [
                'on the boats</h2>',
                'on the boats<h2>',
                'markup/unclosed-element:no-slash 20',
            ],
            'no slash in the end tag of a link' => ['>Tides</a>', '>Tides<a>', 'markup/unclosed-element:no-slash 14'],
            'no slash in the end tag of an item' => [
                '>Tides</a></li>',
                '>Tides</a><li>',
                'markup/unclosed-element:no-slash 14',
            ],
            'no slash in the end tag of a paragraph' => [
                'more words to read.</p>',
                'more words to read.<p>',
                'markup/unclosed-element:no-slash 21',
            ],
            'no slash in the end tag of the title' => ['Boats</title>', 'Boats<title>', 'markup/unclosed-element:no-slash 5'],
            'a title that is never closed' => ['Boats</title>', 'Boats', 'markup/unclosed-element:raw-text 5'],
            'a title with a misspelt end tag' => ['</title>', '</titel>', 'markup/unknown-element:end-tag 5'],
            'no bracket in an end tag' => ['</h2>', '</h2', 'markup/parse-error:no-bracket 20'],
            'no bracket in a start tag' => ['<h2>More', '<h2 More', 'markup/parse-error:no-bracket 20'],
            'a space in an end tag' => ['</h2>', '</ h2>', 'markup/parse-error:space-in-tag 20'],
            'a backslash in an end tag' => ['</h2>', '<\h2>', 'markup/parse-error:backslash 20'],
            'a misspelt element' => [
                '<footer><p>Marrow Sound</p></footer>',
                '<fotter><p>Marrow Sound</p></fotter>',
                'markup/unknown-element:misspelt 24',
            ],
            'a misspelt start tag' => ['<footer>', '<foter>', 'markup/unknown-element:misspelt 24'],
            'a misspelt end tag' => ['</footer>', '</foter>', 'markup/unknown-element:end-tag 24'],
            'an end tag left out' => ["</main>\n", '', 'markup/unclosed-element 18'],
            'a nav that is never closed' => ["</nav>\n", '', 'markup/unclosed-element 9'],
            'a list that is never closed' => ["</ul>\n", '', 'markup/unclosed-element 10'],
            'a link that is never closed' => ['>Tides</a>', '>Tides', 'markup/unclosed-element 14'],
            'the end tag of another list' => ['</ul>', '</ol>', 'markup/unclosed-element:other 10'],
            'an end tag twice' => ['</main>', '</main></main>', 'markup/stray-end-tag 23'],
            'tags that overlap' => ['See boats in May.', '<b>See <i>boats</b></i> in May.', 'markup/misnested 22'],
            'a slash at the wrong end' => [
                '<h2>More on the boats</h2>',
                '<h2>More on the boats<h2/>',
                'markup/unclosed-element:self-closed 20',
            ],
            'image' => ['<img src="boats.svg"', '<image src="boats.svg"', 'markup/unknown-element:misspelt 19'],
            'a heading in a paragraph' => [
                '<p>See boats in May.</p>',
                '<p>See <h3>boats</h3> in May.</p>',
                'markup/content-model:cut-short 22',
            ],
            'items without a list' => [
                '<p>See boats in May.</p>',
                '<li>See</li><li>boats</li><li>in May</li>',
                'markup/content-model:parent 22',
            ],
            'a link in a link' => ['>Tides</a>', '>Tides <a href="seals.html">Seals</a></a>', 'markup/content-model:nested 14'],
            'a link in an emphasised part of a link' => [
                '>Tides</a>',
                '><em>Tides <a href="seals.html">Seals</a></em></a>',
                'markup/content-model:nested 14',
            ],
            'a link never closed, with emphasis that goes on over the next' => [
                '<p>See boats in May.</p>',
                '<p><a href="tides.html">Tides <em>in May, and <a href="seals.html">seals</a> in June</em>.</p>',
                'markup/unclosed-element 22',
            ],
            'a button in a button' => [
                '<p>See boats in May.</p>',
                '<p><button type="button">Tides <button type="button">Seals</button></button></p>',
                'markup/content-model:nested 22',
            ],
            'cells without a row' => [
                '<p>See boats in May.</p>',
                '<table><td>Ebb</td><td>Flow</td></table>',
                'markup/content-model:row 22',
            ],
            'cells without a table' => [
                '<p>See boats in May.</p>',
                '<td>Ebb</td><td>Flow</td>',
                'markup/content-model:outside-table 22',
            ],
            'text in a table' => [
                '<p>See boats in May.</p>',
                '<table>Tides here<tr><td>Ebb</td></tr></table>',
                'markup/content-model:table 22',
            ],
            'a stray bracket' => ['read.</p>', 'read.</p>>', 'markup/stray-text:sign 21'],
            'a stray letter' => ["read.</p>\n", "read.</p>\nx\n", 'markup/stray-text:sign 22'],
            // the skeleton
            'no doctype' => ["<!DOCTYPE html>\n", '', 'markup/missing-doctype:none boats.html'],
            'a doctype without its mark' => ['<!DOCTYPE', '<DOCTYPE', 'markup/missing-doctype:misspelt 1'],
            'a doctype without its space' => ['<!DOCTYPE html', '<!DOCTYPEhtml', 'markup/missing-doctype:misspelt 1'],
            'a doctype that is misspelt' => ['<!DOCTYPE', '<!DOCTYPPE', 'markup/missing-doctype:misspelt 1'],
            'a line of a chat' => ['<!DOCTYPE html>', "```html\n<!DOCTYPE html>", 'markup/stray-text:code-fence 1'],
            'no body tag' => ["<body>\n", '', 'markup/missing-skeleton-tag:body-start 7'],
            'no end tag of the head' => ["</head>\n", '', 'markup/missing-skeleton-tag:head-end 6'],
            'a heading in the head' => [
                "</head>\n<body>\n<h1>Boats</h1>",
                "<h1>Boats</h1>\n</head>\n<body>",
                'markup/content-model:in-head 6',
            ],
            'two main headings' => [
                '<h2>More on the boats</h2>',
                '<h1>More on the boats</h1>',
                'markup/second-main-heading 20',
            ],
            'no main heading' => ['<h1>Boats</h1>', '<h2>Boats</h2>', 'markup/no-main-heading 7'],
            'no title' => ["<title>Boats</title>\n", '', 'markup/missing-title 3'],
            'an empty title' => ['<title>Boats', '<title>', 'markup/empty-title 5'],
            'no encoding' => ["<meta charset=\"utf-8\">\n", '', 'markup/missing-charset 3'],
            'another encoding' => ['See boats', "See the caf\xe9", 'markup/encoding:unreadable 22'],
            'an obsolete element' => ['See boats', '<font color="red">See</font> boats', 'markup/obsolete-element 22'],
            'an obsolete attribute' => ['<p>See', '<p align="center">See', 'markup/obsolete-attribute 22'],
            // comments
            'a comment that is never closed' => [
                '<h2>More',
                "<!-- the boats\n<h2>More",
                'markup/parse-error:unclosed-comment 20',
            ],
            'a comment with half an end' => ['<h2>More', "<!-- the boats ->\n<h2>More", 'markup/parse-error:comment-end 20'],
            'a comment with half a start' => ['<h2>More', "<!- the boats -->\n<h2>More", 'markup/parse-error:comment-start 20'],
        ];
    }
}

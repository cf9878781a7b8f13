<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Slip\Mending;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Source\Patch;
use InkedMargin\Core\Source\SourceFile;

// Each kind of slip of the hand as beginners make it (common practice, no source), and what stands there once it is
// mended.

/** A page in which one text is replaced, as a student mistypes it. */
function mistyped(string $right, string $wrong): SourceFile
{
    $page = <<<'HTML'
        <!DOCTYPE html>
        <html lang="en">
        <head>
        <meta charset="utf-8">
        <title>Birds of the sound</title>
        <link rel="stylesheet" href="site.css">
        </head>
        <body>
        <header><h1>Birds</h1></header>
        <main>
        <!-- the gulls -->
        <h2 class="first">Gulls</h2>
        <p>Gulls <a href="gulls.html">nest</a> on the <em>western</em> cliffs.</p>
        <ul>
        <li>Herring gull</li>
        <li>Kittiwake</li>
        </ul>
        <img src="gull.png" alt="A gull">
        <textarea rows="2"></textarea>
        </main>
        <footer><p>Marrow Sound</p></footer>
        </body>
        </html>

        HTML;
    expect($page)->toContain($right);

    return new SourceFile(
        'birds.html',
        (string) preg_replace('~'.preg_quote($right, '~').'~', addcslashes($wrong, '\\$'), $page, 1),
    );
}

it('knows a slip of the hand by its kind and place', function (
    string $right,
    string $wrong,
    SlipKind $kind,
    int $line,
) {
    $slips = Mending::read(mistyped($right, $wrong))->slips;

    expect(array_map(fn (Slip $slip) => [$slip->kind, $slip->source->position($slip->span->start)->line], $slips))
        ->toBe([[$kind, $line]]);
})->with($slips = [
    'a fence of code' => ['<!DOCTYPE', "```html\n<!DOCTYPE", SlipKind::CodeFence, 1],
    'a word before the doctype' => ['<!DOCTYPE', "html\n<!DOCTYPE", SlipKind::TextBeforeDoctype, 1],
    'no exclamation mark' => ['<!DOCTYPE html>', '<DOCTYPE html>', SlipKind::Doctype, 1],
    'no space in the doctype' => ['<!DOCTYPE html>', '<!DOCTYPEhtml>', SlipKind::Doctype, 1],
    'a comment that goes on' => ['the gulls -->', 'the gulls', SlipKind::UnclosedComment, 11],
    'a title that goes on' => ['</title>', '', SlipKind::UnclosedRawText, 5],
    'a text area that goes on' => ['</textarea>', '', SlipKind::UnclosedRawText, 19],
    'no slash in a heading' => ['</h2>', '<h2>', SlipKind::MissingSlash, 12],
    'no slash in a link' => ['</a>', '<a>', SlipKind::MissingSlash, 13],
    'no slash in an emphasis' => ['</em>', '<em>', SlipKind::MissingSlash, 13],
    'no bracket after an end tag' => ['</h2>', '</h2', SlipKind::MissingBracket, 12],
    'no equals sign' => ['class="first"', 'class"first"', SlipKind::MissingEquals, 12],
    'no closing quotation mark' => ['href="gulls.html"', 'href="gulls.html', SlipKind::MissingQuote, 13],
    'no opening quotation mark' => ['alt="A gull"', 'alt=A gull"', SlipKind::MissingQuote, 18],
    'curly quotation marks' => ['class="first"', 'class=“first”', SlipKind::CurlyQuotes, 12],
    'a space in an end tag' => ['</h2>', '</ h2>', SlipKind::SpaceInTag, 12],
    'a backslash' => ['</h2>', '<\h2>', SlipKind::Backslash, 12],
    'a misspelt element' => ['<footer>', '<foter>', SlipKind::MisspeltElement, 21],
    'a misspelt end tag' => ['</footer>', '</foter>', SlipKind::MisspeltEndTag, 21],
    'a misspelt attribute' => ['src="gull.png"', 'scr="gull.png"', SlipKind::MisspeltAttribute, 18],
    'a misspelt value' => ['rel="stylesheet"', 'rel="styelsheet"', SlipKind::MisspeltValue, 6],
    'a heading in the head' => ['<link rel', "<h2>Gulls</h2>\n<link rel", SlipKind::BodyContentInHead, 6],
]);

it('mends it so that nothing of the kind is left', function (string $right, string $wrong) {
    $slip = Mending::read(mistyped($right, $wrong))->slips[0];
    $mended = Patch::apply($slip->source, $slip->changes);

    expect(Mending::read(new SourceFile('birds.html', $mended->bytes))->slips)->toBe([]);
})->with($slips);

it('types what was meant', function (string $right, string $wrong, string $typed) {
    $slip = Mending::read(mistyped($right, $wrong))->slips[0];

    expect(Patch::apply($slip->source, $slip->changes)->bytes)->toContain($typed);
})->with([
    'the slash' => ['</h2>', '<h2>', '<h2 class="first">Gulls</h2>'],
    'the bracket' => ['</h2>', '</h2', "Gulls</h2>\n"],
    'the equals sign' => ['class="first"', 'class"first"', 'class="first"'],
    'the quotation mark' => ['href="gulls.html"', 'href="gulls.html', 'href="gulls.html">nest'],
    'straight quotation marks' => ['class="first"', 'class=“first”', 'class="first"'],
    'the name of the element' => ['<footer>', '<foter>', '<footer><p>Marrow'],
    'the name in the end tag' => ['</footer>', '</foter>', 'Sound</p></footer>'],
    'the name of the attribute' => ['src="gull.png"', 'scr="gull.png"', '<img src="gull.png"'],
    'the value' => ['rel="stylesheet"', 'rel="styelsheet"', 'rel="stylesheet"'],
    'the doctype' => ['<!DOCTYPE html>', '<DOCTYPE html>', "<!DOCTYPE html>\n"],
    'the end of the comment' => ['the gulls -->', 'the gulls', "the gulls -->\n"],
    'the end of the title' => ['</title>', '', "Birds of the sound</title>\n"],
]);

it('takes nothing for a slip that may be meant', function (string $right, string $written) {
    expect(Mending::read(mistyped($right, $written))->slips)->toBe([]);
})->with([
    'a custom element' => ['<em>western</em>', '<x-em>western</x-em>'],
    'a new attribute' => ['class="first"', 'data-clas="first"'],
    'a value without quotation marks' => ['class="first"', 'class=first'],
    'single quotation marks' => ['class="first"', "class='first'"],
    'capitals' => ['<h2 class="first">Gulls</h2>', '<H2 CLASS="first">Gulls</H2>'],
    'an emphasis in an emphasis' => ['<em>western</em>', '<em>far <em>western</em></em>'],
    'two dashes in the text' => ['on the', 'on -- the'],
    'a less-than sign in the text' => ['on the', '&lt; on < the'],
    'an apostrophe in the text' => ['on the', "on the gull's"],
]);

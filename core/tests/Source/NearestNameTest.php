<?php

declare(strict_types=1);

use InkedMargin\Core\Source\NearestName;

it(
    'offers the name that was probably meant',
    fn (string $word, array $names, ?string $meant) => expect(NearestName::of($word, $names))->toBe($meant),
)->with([
    'two letters swapped' => ['herf', ['class', 'href', 'here-be'], 'href'],
    'a letter left out' => ['widt', ['width', 'height'], 'width'],
    'a letter too many' => ['titlee', ['title', 'style'], 'title'],
    'nothing near' => ['sparkle', ['href', 'title'], null],
    'a short word has room for one slip only' => ['ab', ['cd', 'ax'], 'ax'],
    'letters beyond ASCII count once' => ['größe', ['grösse', 'große'], 'große'],
]);

// Reference: PHP's own levenshtein() (ext/standard). A swap of neighbours costs one edit here and two there; all else
// is the same.
it('never finds more edits than Levenshtein, and the same where no neighbours can be swapped', function () {
    $words = [
        'href', 'herf', 'src', 'scr', 'title', 'tilte', 'width', 'widht', 'alt', 'class', 'clas', 'colspan', 'rowspan',
        'style', '',
    ];
    foreach ($words as $from) {
        foreach ($words as $to) {
            $distance = NearestName::distance($from, $to);
            expect($distance)->toBeLessThanOrEqual(levenshtein($from, $to), "$from to $to");
            if (! swapsNeighbours($from, $to)) {
                expect($distance)->toBe(levenshtein($from, $to), "$from to $to");
            }
        }
    }
});

function swapsNeighbours(string $from, string $to): bool
{
    for ($i = 0; $i + 1 < strlen($from); $i++) {
        if (str_contains($to, $from[$i + 1].$from[$i])) {
            return true;
        }
    }

    return false;
}

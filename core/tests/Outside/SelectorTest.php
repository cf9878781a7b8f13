<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Style\Selector\Matching;
use InkedMargin\Core\Style\Selector\SelectorError;
use InkedMargin\Core\Style\Selector\SelectorList;
use InkedMargin\Core\Tests\Style\CssText;
use Random\Engine\Mt19937;
use Random\Randomizer;

const SELECTED = <<<'HTML'
    <!DOCTYPE html><html lang="en"><head><title>T</title></head><body id="top" class="home Big"><header class="big wide"><h1>A</h1></header>
    <nav><ul><li class="here">a</li><li><a href="x.html">b</a></li><li lang="en-GB"><a href="https://example.org/" target="_blank" rel="NoOpener">c</a></li></ul></nav>
    <main><p>1</p><div><p class="big">2 <em>x</em></p><span></span></div><p>3</p><p class="big wide">4</p><table><tbody><tr><td>1</td><td>2</td></tr><tr><td colspan="2">3</td></tr></tbody></table></main>
    <form><fieldset disabled><legend><input type="TEXT" required></legend><input type="checkbox" checked></fieldset><select><option selected>1</option><option disabled>2</option></select><textarea readonly></textarea></form>
    <svg><linearGradient></linearGradient></svg><footer id="1a" data-x="a b"><!-- c --></footer></body></html>
    HTML;

/**
 * What css-select says in its own way: states, pseudo-elements, what is disabled, writable or optional; and names of
 * SVG, whose capitals it folds.
 */
const CSS_SELECT_OWN = '/:(?:hover|enabled|disabled|required|optional|read-|lang|before|checked|any-link|link)|::|linearGradient/';

/** @return list<string> made of parts that occur on the page, and of some that do not */
function someSelectors(int $seed, int $count): array
{
    $types = [
        'p', 'li', 'a', 'DIV', 'td', 'tr', '*', 'body', 'main', 'em', 'input', 'option', 'linearGradient', 'nope',
        'html',
    ];
    $simple = [
        '.big', '.wide', '.Big', '#top', '#\31 a', '[href]', '[href^=https]', '[href$=".html"]', '[href*=exam]',
        '[class~=wide]',
        '[lang|=en]', '[type=text]', '[rel=noopener]', '[data-x="A B" i]', ':first-child', ':last-child', ':only-child',
        ':first-of-type', ':last-of-type', ':only-of-type', ':nth-child(2n)', ':nth-child(odd)', ':nth-child(-n+2)',
        ':nth-child(2)',
        ':nth-last-child(1)', ':nth-of-type(2)', ':nth-last-of-type(2n+1)', ':nth-child(1 of .big)',
        ':nth-last-child(2n of p, .big)',
        ':empty', ':root', ':not(.big)', ':not(p, li)', ':is(p, .here)', ':where(td)', ':has(> em)', ':has(a[target])',
        ':has(+ p)',
        ':has(~ .wide)', ':link', ':any-link', ':hover', ':enabled', ':disabled', ':checked', ':required', ':optional',
        ':read-only',
        ':read-write', ':lang(en)', ':lang(en-GB)', ':not(:has(p))', '::before', ':before', ':nope', '.1', '#', '..a',
        '[=x]', ':nth-child(x)',
    ];
    $combinators = [' ', ' > ', ' + ', ' ~ ', '>', '+ ', ' ', ', '];
    $chance = new Randomizer(new Mt19937($seed));
    $one = fn (array $of) => $of[$chance->getInt(0, count($of) - 1)];
    $made = [];
    while (count($made) < $count) {
        $selector = '';
        for ($length = $chance->getInt(1, 4); $length > 0; $length--) {
            $parts = $chance->getInt(0, 2);
            $selector .= $parts === 0 || $chance->getInt(0, 1) === 0 ? $one($types) : '';
            for (; $parts > 0; $parts--) {
                $selector .= $one($simple);
            }
            $selector .= $length > 1 ? $one($combinators) : '';
        }
        $made[] = $selector;
    }

    return $made;
}

/** @return list<int>|null the numbers of the elements that match; null for what is no selector */
function elementsFoundBy(string $selector, string $html): ?array
{
    $document = MarkupReader::read(new SourceFile('a.html', $html));
    try {
        $list = SelectorList::parse($selector);
    } catch (SelectorError) {
        return null;
    }
    $matching = new Matching($document);

    return array_keys(array_filter($document->elements(), fn ($element) => $list->matches($element, $matching)));
}

// Reference: Debian's Chromium, document.querySelectorAll. Left out, as it does not read them: the flag `s` of
// attributes and lists in `:lang()` (Selectors 4, 6.3 and 7.2); `:optional` of a button (HTML Standard, 4.16.3: of
// input, select and textarea); options in a disabled fieldset (4.10.10: their own attribute counts); a pseudo-element
// that is pointed at, `::before:hover` (Selectors 4, 3.6.3: any may be followed by the pseudo-classes of what a user
// does). SELECTOR_SEED and SELECTORS try others.
it('finds the elements that a browser finds, and refuses what it refuses', function () {
    $seed = (int) (getenv('SELECTOR_SEED') ?: 20261125);
    $root = dirname(__DIR__, 3);
    $pages = [SELECTED, ...array_map(
        fn (string $path) => (string) file_get_contents($path),
        array_slice(glob("$root/demo/hand-ins/*/*/*/{index,pages/tides}.html", GLOB_BRACE) ?: [], 0, 19),
    )];
    $selectors = someSelectors($seed, (int) (getenv('SELECTORS') ?: 500));
    $answers = CssText::node(__DIR__.'/chromium.mjs', array_map(
        fn (string $html) => ['html' => $html, 'selectors' => $selectors],
        $pages,
    ));
    $differences = [];
    foreach ($answers as $page => $found) {
        foreach ($selectors as $index => $selector) {
            $ours = elementsFoundBy($selector, $pages[$page]);
            $isLeftOut = preg_match('/:before:hover/', $selector) === 1;
            if (! $isLeftOut && $ours !== $found[$index]) {
                $differences[] = json_encode([$page, $selector, 'ours' => $ours, 'theirs' => $found[$index]]);
            }
        }
    }

    expect($answers)->toHaveCount(count($pages))->and(array_slice($differences, 0, 10))->toBe([], "seed $seed");
});

// Reference: css-select 7.0.0 (npm) on parse5's tree. Left out is what it does not read, or says to do in its own way.
it('finds the elements that another library finds', function () {
    $seed = (int) (getenv('SELECTOR_SEED') ?: 20261125);
    $selectors = array_values(array_filter(
        someSelectors($seed, 500),
        fn (string $one) => preg_match(CSS_SELECT_OWN, $one) !== 1,
    ));
    $pages = [SELECTED, ...array_map(
        fn (string $path) => (string) file_get_contents($path),
        array_slice(glob(dirname(__DIR__, 3).'/demo/hand-ins/*/*/*/index.html') ?: [], 0, 9),
    )];
    $answers = CssText::node(
        __DIR__.'/css-select.mjs',
        array_map(fn (string $html) => ['html' => $html, 'selectors' => $selectors], $pages),
    );
    $differences = [];
    $compared = 0;
    foreach ($answers as $page => $found) {
        foreach ($selectors as $index => $selector) {
            if ($found[$index] !== null) {
                $ours = elementsFoundBy($selector, $pages[$page]);
                $compared++;
                if ($ours !== null && $ours !== $found[$index]) {
                    $differences[] = json_encode([$page, $selector, 'ours' => $ours, 'theirs' => $found[$index]]);
                }
            }
        }
    }

    expect($compared)->toBeGreaterThan(1_000)->and(array_slice($differences, 0, 10))->toBe([], "seed $seed");
});

// Source: Selectors Level 4, section 15, "Calculating a selector's specificity"; and CSS Nesting 1, section 3.
it('is as specific as the examples of the standard say', function (string $selector, array $specificity) {
    $most = SelectorList::parse($selector)->specificity();

    expect([$most->ids, $most->classes, $most->types])->toBe($specificity);
})->with([
    ['*', [0, 0, 0]], ['LI', [0, 0, 1]], ['UL LI', [0, 0, 2]], ['UL OL+LI', [0, 0, 3]], ['H1 + *[REL=up]', [0, 1, 1]],
    ['UL OL LI.red', [0, 1, 3]], ['LI.red.level', [0, 2, 1]], ['#x34y', [1, 0, 0]], ['#s12:not(FOO)', [1, 0, 1]],
    ['.foo :is(.bar, #baz)', [1, 1, 0]], [':is(em, #foo)', [1, 0, 0]], ['.qux:where(em, #foo#bar#baz)', [0, 1, 0]],
    [':nth-child(even of li, .item)', [0, 2, 0]], [':not(em, strong#foo)', [1, 0, 1]], ['p::before', [0, 0, 2]],
    ['a:hover', [0, 1, 1]],
]);

// Reference: specificity 1.0.0 (npm).
it('is as specific as another library says', function () {
    $selectors = array_values(array_filter(
        someSelectors(7, 400),
        fn (string $one) => elementsFoundBy($one, '<p>') !== null && ! str_contains($one, ','),
    ));
    $differences = [];
    foreach (CssText::node(__DIR__.'/specificity.mjs', $selectors) as $index => $theirs) {
        $ours = SelectorList::parse($selectors[$index])->specificity();
        if ([$ours->ids, $ours->classes, $ours->types] !== $theirs) {
            $differences[] = [$selectors[$index], $ours, $theirs];
        }
    }

    expect($differences)->toEqual([])->and(count($selectors))->toBeGreaterThan(150);
});

<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\MarkupReader;
use InkedMargin\Core\Markup\Selector;
use InkedMargin\Core\Markup\SelectorError;
use InkedMargin\Core\Source\SourceFile;
use Symfony\Component\CssSelector\CssSelectorConverter;

const SELECTED = <<<'HTML'
    <html><head></head><body id="top"><header class="big wide"><h1>A</h1></header><nav><ul><li class="here">a</li><li><a href="x.html">b</a></li>
    <li lang="en-GB"><a href="https://example.org/" target="_blank">c</a></li></ul></nav><main><p>1</p><div><p class="big">2</p></div><p>3</p></main></body></html>
    HTML;

// Reference: symfony/css-selector 7.4's translation to XPath, run by PHP's DOM extension (libxml).
it('matches the same elements as the XPath of the same selector', function (string $selector) {
    $dom = new DOMDocument;
    $dom->loadHTML(SELECTED, LIBXML_NOERROR);
    $expected = [];
    foreach ((new DOMXPath($dom))->query((new CssSelectorConverter)->toXPath($selector)) ?: [] as $node) {
        $expected[] = $node->nodeName.' '.trim(preg_replace('/\s+/', ' ', $node->textContent) ?? '');
    }
    $document = MarkupReader::read(new SourceFile('a.html', SELECTED));
    $found = array_map(
        fn ($element) => "$element->name {$element->words()}",
        Selector::parse($selector)->all($document),
    );

    expect($found)->toBe($expected);
})->with([
    'li', '*', '.big', '#top', 'li.here', 'nav li', 'nav > li', 'ul > li', 'main p', 'main > p', 'p + div', 'p ~ p', 'div ~ p', 'h1, p.big',
    'a[href]', 'a[target=_blank]', 'a[href^=https]', 'a[href$=".html"]', 'a[href*=example]', '[class~=wide]', '[lang|=en]', 'li:not(.here)', 'nav li:not([lang]) a', 'header.big.wide > h1',
]);

it(
    'says which selectors a brief cannot use',
    fn (string $selector) => expect(fn () => Selector::parse($selector))->toThrow(SelectorError::class, $selector),
)
    ->with(['li >', 'p:first-child', 'a:hover']);

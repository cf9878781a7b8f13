<?php

declare(strict_types=1);

use InkedMargin\Core\Site\Address;
use League\Uri\Uri;

// Source: RFC 3986, section 5.4 "Reference Resolution Examples", base URI http://a/b/c/d;p?q.
const RFC_BASE = 'http://a/b/c/d;p?q';

it('resolves the examples of RFC 3986, 5.4', function (string $reference, string $target) {
    expect((string) Address::parse(RFC_BASE)->resolve(Address::parse($reference)))->toBe($target);
})->with([
    // 5.4.1, normal examples
    ['g:h', 'g:h'], ['g', 'http://a/b/c/g'], ['./g', 'http://a/b/c/g'], ['g/', 'http://a/b/c/g/'], ['/g', 'http://a/g'],
    ['//g', 'http://g'], ['?y', 'http://a/b/c/d;p?y'], ['g?y', 'http://a/b/c/g?y'], ['#s', 'http://a/b/c/d;p?q#s'],
    ['g#s', 'http://a/b/c/g#s'], ['g?y#s', 'http://a/b/c/g?y#s'], [';x', 'http://a/b/c/;x'], ['g;x', 'http://a/b/c/g;x'],
    ['g;x?y#s', 'http://a/b/c/g;x?y#s'], ['', 'http://a/b/c/d;p?q'], ['.', 'http://a/b/c/'], ['./', 'http://a/b/c/'],
    ['..', 'http://a/b/'], ['../', 'http://a/b/'], ['../g', 'http://a/b/g'], ['../..', 'http://a/'], ['../../', 'http://a/'], ['../../g', 'http://a/g'],
    // 5.4.2, abnormal examples
    ['../../../g', 'http://a/g'], ['../../../../g', 'http://a/g'], ['/./g', 'http://a/g'], ['/../g', 'http://a/g'],
    ['g.', 'http://a/b/c/g.'], ['.g', 'http://a/b/c/.g'], ['g..', 'http://a/b/c/g..'], ['..g', 'http://a/b/c/..g'],
    ['./../g', 'http://a/b/g'], ['./g/.', 'http://a/b/c/g/'], ['g/./h', 'http://a/b/c/g/h'], ['g/../h', 'http://a/b/c/h'],
    ['g;x=1/./y', 'http://a/b/c/g;x=1/y'], ['g;x=1/../y', 'http://a/b/c/y'], ['g?y/./x', 'http://a/b/c/g?y/./x'],
    ['g?y/../x', 'http://a/b/c/g?y/../x'], ['g#s/./x', 'http://a/b/c/g#s/./x'], ['g#s/../x', 'http://a/b/c/g#s/../x'], ['http:g', 'http:g'],
]);

// Reference: league/uri 7.10.0 (Packagist), on references put together from a fixed list of segments.
it('resolves what students write as league/uri does', function (string $base) {
    foreach (['index.html', '../index.html', 'pages/a.html', '../pages/', './', '../../x/y.html', '?print', '#top', 'a.html?x=1#y', '/styles/site.css', '//cdn.example/x.css', 'https://example.org/a/../b', 'a/./b/../c', '..', '.'] as $reference) {
        expect((string) Address::parse($base)->resolve(Address::parse($reference)))
            ->toBe(Uri::fromBaseUri($reference, $base)->toString(), "$reference from $base");
    }
})->with(['https://example.org/', 'https://example.org/pages/a.html', 'https://example.org/a/b/c/d.html?q=1#f']);

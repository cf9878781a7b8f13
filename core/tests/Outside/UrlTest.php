<?php

declare(strict_types=1);

use InkedMargin\Core\Site\Url\Url;
use InkedMargin\Core\Site\Url\UrlError;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What whatwg-url 16.0.1 (npm), the reference implementation of the URL Standard, makes of references.
 *
 * @param  list<array{string, string}>  $pairs  each with its base
 * @return list<string|null>
 */
function hrefs(array $pairs): array
{
    $process = proc_open(['node', __DIR__.'/url.mjs'], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes, __DIR__);
    fwrite($pipes[0], json_encode($pairs, JSON_THROW_ON_ERROR));
    fclose($pipes[0]);
    $out = (string) stream_get_contents($pipes[1]);
    proc_close($process);

    return json_decode($out, true, flags: JSON_THROW_ON_ERROR);
}

function ourHref(string $reference, string $base): ?string
{
    try {
        return (string) Url::parse($reference, Url::parse($base));
    } catch (UrlError) {
        return null;
    }
}

it('reads and resolves references as the reference implementation of the URL Standard does', function () {
    $bits = ['a', 'b.html', 'Ä', '漢', 'index.html', '..', '.', '...', '%2e', '%2E%2e', '/', '//', '\\', '?', '#', ':', '@', ' ', '%20', '%', '%zz', '"', '<', '>', '^', '|', '`', '{', '[', ']', "'", ';', '=', '&', '+', '~', '*',
        'http:', 'https://', 'HTTP://', 'file:', 'file:///', 'mailto:', 'javascript:', 'data:', 'ftp://', 'x-y+z.1:', 'C:', 'c|', 'C:\\Users\\me\\site\\', 'www.example.org', 'example.org', 'EXAMPLE.org', 'localhost', '127.0.0.1', '0x7f.1', '256.1', '1.2.3', '[::1]', '[1:2:0:0:5:0:0:8]', '[::ffff:1.2.3.4]', '[1::2::3]', 'bücher.example', 'xn--bcher-kva.example', 'a_b.example', 'a..b', ':80', ':443', ':8080', ':99999', ':x', 'user:pw@', "\t", "\n", "\0", "\x7f", '%00', 'é.html'];
    $bases = [
        'http://hand-in.invalid/pages/tides.html?x=1#y',
        'http://hand-in.invalid/',
        'file:///C:/site/a/b.html',
        'file:///home/me/a.html',
        'mailto:a@b.example',
        'x://host/p/q',
        'https://user:pw@example.org:8080/a/',
    ];
    $chance = new Randomizer(new Mt19937(20261125));
    $pairs = [['', $bases[0]], ['//', $bases[0]], ['http:g', $bases[0]], ['C|/x', $bases[2]]];
    while (count($pairs) < 1000) {
        $reference = '';
        for ($length = $chance->getInt(1, 6); $length > 0; $length--) {
            $reference .= $bits[$chance->getInt(0, count($bits) - 1)];
        }
        $pairs[] = [$reference, $bases[$chance->getInt(0, count($bases) - 1)]];
    }
    $differences = [];
    foreach (hrefs($pairs) as $index => $href) {
        $ours = ourHref(...$pairs[$index]);
        if ($ours !== $href) {
            $differences[] = json_encode(
                [...$pairs[$index], 'ours' => $ours, 'theirs' => $href],
                JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            );
        }
    }

    expect($differences)->toBe([]);
});

// Source: RFC 3986, section 5.4 "Reference Resolution Examples", base URI http://a/b/c/d;p?q. The URL Standard writes
// "/" for an
// empty path after a host, and takes "http:g" for relative, as 5.4.2 allows for backward compatibility.
it('resolves the examples of RFC 3986, 5.4', function (string $reference, string $target) {
    expect(ourHref($reference, 'http://a/b/c/d;p?q'))->toBe($target);
})->with([
    // 5.4.1, normal examples
    ['g:h', 'g:h'],
    ['g', 'http://a/b/c/g'],
    ['./g', 'http://a/b/c/g'],
    ['g/', 'http://a/b/c/g/'],
    ['/g', 'http://a/g'],
    ['//g', 'http://g/'],
    ['?y', 'http://a/b/c/d;p?y'],
    ['g?y', 'http://a/b/c/g?y'],
    ['#s', 'http://a/b/c/d;p?q#s'],
    ['g#s', 'http://a/b/c/g#s'],
    ['g?y#s', 'http://a/b/c/g?y#s'],
    [';x', 'http://a/b/c/;x'],
    ['g;x', 'http://a/b/c/g;x'],
    ['g;x?y#s', 'http://a/b/c/g;x?y#s'],
    ['', 'http://a/b/c/d;p?q'],
    ['.', 'http://a/b/c/'],
    ['./', 'http://a/b/c/'],
    ['..', 'http://a/b/'],
    ['../', 'http://a/b/'],
    ['../g', 'http://a/b/g'],
    ['../..', 'http://a/'],
    ['../../', 'http://a/'],
    ['../../g', 'http://a/g'],
    // 5.4.2, abnormal examples
    ['../../../g', 'http://a/g'],
    ['../../../../g', 'http://a/g'],
    ['/./g', 'http://a/g'],
    ['/../g', 'http://a/g'],
    ['g.', 'http://a/b/c/g.'],
    ['.g', 'http://a/b/c/.g'],
    ['g..', 'http://a/b/c/g..'],
    ['..g', 'http://a/b/c/..g'],
    ['./../g', 'http://a/b/g'],
    ['./g/.', 'http://a/b/c/g/'],
    ['g/./h', 'http://a/b/c/g/h'],
    ['g/../h', 'http://a/b/c/h'],
    ['g;x=1/./y', 'http://a/b/c/g;x=1/y'],
    ['g;x=1/../y', 'http://a/b/c/y'],
    ['g?y/./x', 'http://a/b/c/g?y/./x'],
    ['g?y/../x', 'http://a/b/c/g?y/../x'],
    ['g#s/./x', 'http://a/b/c/g#s/./x'],
    ['g#s/../x', 'http://a/b/c/g#s/../x'],
    ['http:g', 'http://a/b/c/g'],
]);

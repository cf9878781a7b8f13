<?php

declare(strict_types=1);

use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Pattern\PatternRecognition;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\Resolution;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

/**
 * The links of a folder of pages, counted with PHP's DOM extension (libxml 2) and file_exists alone.
 *
 * @return array{pages: int, links: int, broken: int, reached: int}
 */
function countedByDom(string $folder): array
{
    $pages = $edges = [];
    $links = $broken = 0;
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
        $folder,
        FilesystemIterator::SKIP_DOTS | FilesystemIterator::FOLLOW_SYMLINKS,
    )) as $file) {
        if (preg_match('/\.html?$/', $file->getFilename()) === 1) {
            $pages[] = substr($file->getPathname(), strlen($folder) + 1);
        }
    }
    foreach ($pages as $page) {
        $dom = new DOMDocument;
        $dom->loadHTML((string) file_get_contents("$folder/$page"), LIBXML_NOERROR);
        foreach ((new DOMXPath($dom))->query('//a[@href] | //area[@href]') as $link) {
            $links++;
            $href = (string) preg_replace('/[?#].*/s', '', trim($link->getAttribute('href')));
            if ($href === '' || preg_match('~^(?:[a-z][a-z0-9+.-]*:|//)~i', $href) === 1) {
                continue;
            }
            $target = rawurldecode(
                $href[0] === '/' ? substr($href, 1) : (dirname($page) === '.' ? '' : dirname($page).'/').$href,
            );
            while (($simpler = preg_replace('~(?:^|(?<=/))(?:\./|[^/]+/\.\.(?:/|$))~', '', $target, 1)) !== $target) {
                $target = (string) $simpler;
            }
            $target = is_dir("$folder/$target") ? ltrim(rtrim($target, '/').'/index.html', '/') : $target;
            is_file("$folder/$target") ? $edges[$page][$target] = true : $broken++;
        }
    }
    $reached = ['index.html' => true];
    for ($waiting = ['index.html']; ($page = array_pop($waiting)) !== null;) {
        foreach (array_keys(array_diff_key($edges[$page] ?? [], $reached)) as $to) {
            if (in_array($to, $pages, true)) {
                $reached[$to] = true;
                $waiting[] = $to;
            }
        }
    }

    return ['pages' => count($pages), 'links' => $links, 'broken' => $broken, 'reached' => count($reached)];
}

// Source: the pages of Debian's debian-policy and git-doc, counted a second time without any of our code.
it('maps a real site as an independent count does', function (string $folder) {
    $counted = countedByDom($folder);
    $files = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
        $folder,
        FilesystemIterator::SKIP_DOTS | FilesystemIterator::FOLLOW_SYMLINKS,
    )) as $file) {
        $files[] = new SourceFile(
            substr($file->getPathname(), strlen($folder) + 1),
            (string) file_get_contents($file->getPathname()),
        );
    }
    $map = ParsedSite::of(new Site('docs', $files))->fact(LinkMap::class);
    $ours = array_filter($map->links, fn ($link) => $link->reference->kind === ReferenceKind::Link);

    expect([
        'pages' => count($map->pages), 'links' => count($ours),
        // the count looks at no address with a scheme, not even at one of the author’s own machine
        'broken' => count(
            array_filter(
                $ours,
                fn ($link) => $link->reference->target->resolution->isBroken() && $link->reference->target->resolution !== Resolution::LocalPath,
            ),
        ),
        'reached' => count($map->pages) - count($map->unreachable()),
    ])->toBe($counted)->and($counted['links'])->toBeGreaterThan(1000);
})->with(['debian-policy' => '/usr/share/doc/debian-policy/policy.html', 'git-doc' => '/usr/share/doc/git-doc']);

it('finds the parts of a graph that lead round, the pages that lead nowhere, and what goes one way', function () {
    $link = fn (string ...$to) => implode('', array_map(fn (string $page) => "<a href=\"$page.html\">$page</a>", $to));
    $pages = [
        'index' => ['a', 'd'],
        'a' => ['b'],
        'b' => ['c', 'd'],
        'c' => ['a', 'index'],
        'd' => [],
        'e' => ['f'],
        'f' => ['e'],
    ];
    $map = ParsedSite::of(Samples::site(
        array_combine(
            array_map(fn (string $name) => "$name.html", array_keys($pages)),
            array_map(fn (array $to) => $link(...$to), $pages),
        ),
    ))->fact(LinkMap::class);

    expect($map->cycles())->toHaveCount(2)
        ->and(array_map(fn (array $cycle) => count($cycle), $map->cycles()))->toBe([4, 2])
        ->and($map->deadEnds())->toBe(['d.html'])->and($map->unreachable())->toBe(['e.html', 'f.html'])
        ->and($map->distance('c.html'))->toBe(3)->and($map->isTwoWay('e.html', 'f.html'))->toBeTrue()
        ->and($map->isTwoWay('index.html', 'd.html'))->toBeFalse();
});

// Facts of the trade (job.md): a branching story of depth 2 with two choices has 1 + 2 + 4 pages; the entry page is
// index.html.
it('knows the entry page, and how far a story of 1 + 2 + 4 pages goes', function () {
    $pages = ['index' => 'ab', 'a' => 'cd', 'b' => 'ef', 'c' => '', 'd' => '', 'e' => '', 'f' => ''];
    $site = [];
    foreach ($pages as $page => $on) {
        $site["$page.html"] = implode(
            '',
            array_map(fn (string $to) => $to === '' ? '' : "<a href=\"$to.html\">$to</a>", str_split($on)),
        );
    }
    $reading = ParsedSite::of(Samples::site($site));
    $map = $reading->fact(LinkMap::class);
    $distances = array_count_values(array_map(fn (string $page) => (int) $map->distance($page), $map->pages));

    expect($distances)->toBe([0 => 1, 1 => 2, 2 => 4])->and(LinkMap::HOME)->toBe('index.html')
        ->and($reading->fact(PatternRecognition::class)->match?->kind->value)->toBe('branching');
});

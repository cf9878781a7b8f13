<?php

declare(strict_types=1);

use InkedMargin\Core\Intake\SiteRoot;
use InkedMargin\Core\Source\SourceFile;

it('finds the folder in which the site begins, and what is around it', function (
    array $paths,
    ?string $archive,
    array $files,
    array $folders,
) {
    $site = SiteRoot::find(
        'drop',
        array_combine($paths, array_map(fn (string $path) => new SourceFile($path, 'x'), $paths)),
        $archive,
    );

    expect($site->paths())->toBe($files)->and($site->packing->folders)->toBe($folders);
})->with([
    'files in no folder' => [['index.html', 'a.css'], 'a.zip', ['a.css', 'index.html'], []],
    'one folder' => [['site/index.html', 'site/a.css'], 'a.zip', ['a.css', 'index.html'], ['site']],
    'a folder in a folder' => [['a/b/index.html', 'a/b/c.css'], 'a.zip', ['c.css', 'index.html'], ['a', 'b']],
    'a folder without a home page' => [['site/start.html', 'site/b.html'], 'a.zip', ['b.html', 'start.html'], ['site']],
    'a folder of folders' => [
        ['site/pages/a.html', 'site/css/b.css'],
        'a.zip',
        ['css/b.css', 'pages/a.html'],
        ['site'],
    ],
    'litter beside the folder' => [
        ['site/index.html', '__MACOSX/._x', '.DS_Store'],
        'a.zip',
        ['.DS_Store', '__MACOSX/._x', 'index.html'],
        ['site'],
    ],
    'a folder that was not an archive' => [['site/start.html'], null, ['start.html'], ['site']],
    'a part of a site' => [['pages/start.html'], null, ['pages/start.html'], []],
    'a part in folders' => [['a/b/pages/c.html'], 'a.zip', ['pages/c.html'], ['a', 'b']],
    'a folder called 0' => [['0/index.html', '0/1'], 'a.zip', ['1', 'index.html'], ['0']],
]);

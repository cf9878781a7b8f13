<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Report\JsonReport;

// A run is kept under the version of the engine. A rule that finds or says something else than it did, under the same
// version,
// would leave old results in use beside new ones.

/** One hash over the reports on all hand-ins of the demo that are folders. */
function demoReports(): string
{
    $demo = __DIR__.'/../../../demo';
    $hash = hash_init('sha256');
    foreach (glob("$demo/hand-ins/*/*", GLOB_ONLYDIR) ?: [] as $folder) {
        $brief = "$demo/briefs/".basename(dirname($folder)).'.yaml';
        $asked = is_file($brief) ? BriefReader::read((string) file_get_contents($brief)) : Brief::none();
        hash_update($hash, JsonReport::render(Check::run((new FolderReader)->read($folder), $asked)));
    }

    return hash_final($hash);
}

it('has a new version whenever it reports something else', function () {
    $known = json_decode((string) file_get_contents(__DIR__.'/engines.json'), true, flags: JSON_THROW_ON_ERROR);

    expect(demoReports())->toBe(
        $known[Check::ENGINE] ?? null,
        'The reports on the demo are not those of engine '.Check::ENGINE
            .'. If the rules are meant to say something else now, '
            .'the engine’s version must change (Check::ENGINE), with a line of its own in engines.json; if not, they must not.',
    );
});

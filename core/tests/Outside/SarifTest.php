<?php

declare(strict_types=1);

use InkedMargin\Core\Report\SarifReport;
use InkedMargin\Core\Tests\Samples;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

// Source: the SARIF 2.1.0 schema (rtm.5) as carried by @microsoft/jest-sarif 1.0.0-beta.0 (npm), checked with
// opis/json-schema 2.6.1.
it('writes SARIF that its published schema accepts', function (array $files) {
    $schema = json_decode(
        (string) file_get_contents(
            __DIR__.'/../../../node_modules/@microsoft/jest-sarif/lib/schemas/sarif-2.1.0-rtm.5.json',
        ),
        flags: JSON_THROW_ON_ERROR,
    );
    // It calls itself draft-04, which the validator does not know, and uses nothing that draft-06 reads otherwise.
    $schema->{'$schema'} = 'http://json-schema.org/draft-06/schema#';
    $log = json_decode(SarifReport::render(Samples::check($files)), flags: JSON_THROW_ON_ERROR);
    $result = (new Validator)->validate($log, $schema);

    expect($result->isValid())->toBeTrue($result->error() === null ? '' : json_encode(
        (new ErrorFormatter)->format($result->error()),
        JSON_THROW_ON_ERROR,
    ));
})->with([
    'a clean site' => [['index.html' => Samples::page()]],
    'a site with findings in files, about missing files and beside other places' => [[
        'a page.html' => Samples::page('<img src="x.png"><a herf="é">é</a>'),
        'b.html' => Samples::page(),
        'latin.html' => "<title>\xe9</title>",
    ]],
]);

// SARIF 2.1.0, 3.55 to 3.57: a fix has one change for each file, with the regions to be deleted and the content put
// there.
it('gives the mends of findings as fixes', function () {
    $log = json_decode(
        SarifReport::render(Samples::check(['index.html' => Samples::page('<p><b>x</p>')])),
        true,
        flags: JSON_THROW_ON_ERROR,
    );
    $fixes = array_merge(...array_map(fn (array $result) => $result['fixes'] ?? [], $log['runs'][0]['results']));
    $replacement = $fixes[0]['artifactChanges'][0]['replacements'][0];

    expect($fixes)->toHaveCount(1)
        ->and($fixes[0]['artifactChanges'][0]['artifactLocation']['uri'])->toBe('index.html')
        ->and($replacement['insertedContent']['text'])->toBe('</b>')
        ->and($replacement['deletedRegion'])->toHaveKeys(['byteOffset', 'byteLength']);
});

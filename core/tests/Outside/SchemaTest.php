<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Schema;
use InkedMargin\Core\Tests\Style\CssText;
use Symfony\Component\Yaml\Yaml;

// The schema of a brief, held by ajv (npm, 8.17.1) against the meta-schema of JSON Schema 2020-12, and the briefs that
// ship against the schema.

it('is a schema by the meta-schema, accepts the briefs that ship, and refuses them with a field misspelt', function () {
    $briefs = $misspelt = [];
    foreach (glob(__DIR__.'/../../../docs/briefs/*/brief.yaml') ?: [] as $file) {
        $brief = Yaml::parseFile($file);
        $briefs[] = $brief;
        $misspelt[] = [
            'requirements' => [['titel' => 'x'] + $brief['requirements'][0], ...array_slice($brief['requirements'], 1)],
        ] + $brief;
    }
    $given = [json_decode(Schema::render()), [...$briefs, ...$misspelt]];
    $answers = CssText::node(__DIR__.'/schema.mjs', $given);

    expect(array_slice($answers, 0, count($briefs) + 1))->toBe(array_fill(0, count($briefs) + 1, true))
        ->and(array_slice($answers, count($briefs) + 1))->toHaveCount(8)->each->toBeString()->toContain('properties');
});

it('stands in the documentation as it is', function () {
    expect((string) file_get_contents(__DIR__.'/../../../docs/brief.schema.json'))->toBe(Schema::render());
});

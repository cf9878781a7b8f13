<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Kinds;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Schema;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

// Every example of docs/brief.md is read, fits the schema, is met by one of the sites beside it and missed by the
// other.

const GUIDE = __DIR__.'/../../../docs';

/** @return list<array{string, string}> each example as a whole brief, after its first requirement or field */
function guideExamples(): array
{
    preg_match_all('/^```yaml\n(.*?)^```/ms', (string) file_get_contents(GUIDE.'/brief.md'), $blocks);

    return array_map(function (string $yaml): array {
        $brief = match (true) {
            str_starts_with($yaml, 'title:') => $yaml,
            str_starts_with($yaml, '- ') => "title: T\nrequirements:\n$yaml",
            default => "title: T\nrequirements: [{id: layout, kind: look, title: Layout, points: 4}]\n$yaml",
        };

        return [trim((string) strtok($yaml, "\n"), '- '), $brief];
    }, $blocks[1]);
}

function checkGuide(Brief $brief, string $site): CheckReport
{
    $read = fn (string $folder) => (new FolderReader)->read(GUIDE."/brief-examples/$folder");
    $isRight = $site === 'right';
    $packing = new Packing(
        $isRight ? 'ada.zip' : 'homework.zip',
        [$isRight ? 'almanac' : 'New folder'],
        'ada',
        address: $isRight ? 'https://web.wrenquay.example/ada/almanac/' : 'http://localhost/almanac/',
    );
    $materials = new Materials($read('starter'), $read('model'), $read('copy'), $read('sheets'));

    return Check::run(new Site('almanac', $read($site)->files(), $packing), $brief, materials: $materials);
}

it('shows a brief that is read, fits the schema, and comes to what the guide says', function (string $yaml) {
    $brief = BriefReader::read($yaml);
    $values = json_decode((string) json_encode(Yaml::parse($yaml, Yaml::PARSE_OBJECT_FOR_MAP)));
    $outcomes = fn (string $site) => array_map(
        fn (Outcome $one) => "{$one->requirement->terms->id}: {$one->kind->value}",
        checkGuide($brief, $site)->outcomes,
    );
    $expected = fn (string $kind) => array_map(
        fn ($one) => "{$one->terms->id}: ".($one::kind() === 'look' ? 'not-judged' : $kind),
        $brief->requirements,
    );
    $short = array_filter($outcomes('wrong'), fn (string $one) => ! str_ends_with($one, ': met'));

    expect((new Validator)->validate($values, json_decode(Schema::render()))->isValid())->toBeTrue()
        ->and($outcomes('right'))->toBe($expected('met'))
        ->and(count($short))->toBe(count($brief->requirements), implode(', ', $outcomes('wrong')));
})->with(fn () => array_column(array_map(fn (array $one) => [$one[0], [$one[1]]], guideExamples()), 1, 0));

it('shows what every requirement is short of on the wrong site, at a place', function () {
    foreach (guideExamples() as [$name, $yaml]) {
        foreach (checkGuide(BriefReader::read($yaml), 'wrong')->outcomes as $outcome) {
            expect($outcome->shortfalls() === [])->toBe($outcome->kind === OutcomeKind::NotJudged, $name)
                ->and(count($outcome->findings) > 0)->toBe($outcome->shortfalls() !== [], $name);
        }
    }
});

it('has an example of every kind', function () {
    $shown = [];
    foreach (guideExamples() as [, $yaml]) {
        foreach (BriefReader::read($yaml)->requirements as $requirement) {
            $shown[$requirement::kind()] = true;
        }
    }

    expect(array_diff(Kinds::names(), array_keys($shown)))->toBe([]);
});

it('finds nothing wrong with the right site', function () {
    expect(checkGuide(Brief::none(), 'right')->findings)->toBe([]);
});

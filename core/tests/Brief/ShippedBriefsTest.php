<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Schema;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\OutcomeKind;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

// The briefs of docs/briefs, each with a site that meets it and one that has one thing wrong with it.

const BRIEFS = __DIR__.'/../../../docs/briefs';

function checkShipped(string $name, string $site): CheckReport
{
    $read = fn (string $part) => is_dir(BRIEFS."/$name/$part") ? (new FolderReader)->read(BRIEFS."/$name/$part") : null;
    $brief = BriefReader::read((string) file_get_contents(BRIEFS."/$name/brief.yaml"));
    $hand = (new FolderReader)->read(BRIEFS."/$name/$site")->for('ada', 'https://ada.wren.example/');

    return Check::run($hand, $brief, materials: new Materials($read('starter'), $read('model'), $read('copy')));
}

/** @return list<string> */
function notMet(CheckReport $report): array
{
    $judged = array_filter(
        $report->outcomes,
        fn (Outcome $one) => ! in_array($one->requirement::kind(), ['look', 'names'], true),
    );

    return array_values(array_map(
        fn (Outcome $one) => $one->requirement->terms->id,
        array_filter($judged, fn (Outcome $one) => $one->kind !== OutcomeKind::Met),
    ));
}

it('is met in full by its right site, and nothing is said against it', function (string $name) {
    $report = checkShipped($name, 'right');
    $said = array_map(fn ($one) => "{$one->finding->file}: {$one->finding->message}", $report->findings);

    expect(notMet($report))->toBe([])->and($said)->toBe([])
        ->and($report->score->awarded)->toBe($report->score->judged);
})->with('shipped');

it('is missed by its wrong site in the one thing that is wrong, with a finding that shows it', function (string $name, string $id, string $place) {
    $report = checkShipped($name, 'wrong');
    $outcome = array_values(
        array_filter($report->outcomes, fn (Outcome $one) => $one->requirement->terms->id === $id),
    )[0];
    $prints = array_map(fn ($one) => $one->fingerprint, $report->findings);

    expect(notMet($report))->toBe([$id])
        ->and("{$outcome->shortfalls()[0]->draft->file} {$outcome->shortfalls()[0]->draft->variant}")->toBe($place)
        ->and(array_intersect($outcome->findings, $prints))->not->toBe([])
        ->and($report->count(Weight::Fault) + $report->count(Weight::Departure))->toBe(1);
})->with('shipped');

it('reads, writes and fits the schema', function (string $name) {
    $source = (string) file_get_contents(BRIEFS."/$name/brief.yaml");
    $brief = BriefReader::read($source);
    $values = json_decode((string) json_encode(Yaml::parse($source, Yaml::PARSE_OBJECT_FOR_MAP)));

    expect(BriefReader::read(BriefWriter::yaml($brief)))->toEqual($brief)
        ->and((new Validator)->validate($values, json_decode(Schema::render()))->isValid())->toBeTrue();
})->with('shipped');

it('ships each brief with both sites, and a test', function () {
    $folders = array_map(basename(...), glob(BRIEFS.'/*', GLOB_ONLYDIR) ?: []);

    expect($folders)->toHaveCount(8)->each->toBeIn(array_column(SHIPPED, 0));
});

const SHIPPED = [
    ['five-pages-with-counts', 'cells', 'tides.html too-many'],
    ['edited-starter-pages', 'starter', 'second.html unchanged'],
    ['series-of-seven', 'headings', 'day-5.html repeated'],
    ['ring-of-eight', 'ring', 'stop-8.html wrong'],
    ['branching-story-of-seven', 'scenes', 'wait.html too-few'],
    ['narrative-in-a-subfolder', 'opening', 'story/1.html copy'],
    ['index-of-folders', 'list', 'index.html missing'],
    ['two-personal-pages', 'contrast', 'style.css low'],
];

dataset('shipped', SHIPPED);

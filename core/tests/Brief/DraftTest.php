<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\Kinds;
use InkedMargin\Core\Brief\ProposedBrief;
use InkedMargin\Core\Brief\ReadyMade;
use InkedMargin\Core\Brief\Requirement\BriefError;

it('reads each requirement by itself, so that one that is not whole does not hide the others', function () {
    $draft = ProposedBrief::read(<<<'YAML'
        title: T
        marking: {round_to: 0.5}
        requirements:
          - {id: one, kind: titles, title: Titles, points: 2}
          - {id: two, kind: count, title: Cells}
          - {id: one, kind: contrast, title: Again}
          - nothing
        YAML);

    expect(array_map(fn ($one) => $one->requirement?->sentence() !== null, $draft->requirements))->toBe(
        [true, false, true, false],
    )
        ->and($draft->requirements[1]->problems)->toBe(
            ['exactly: one of exactly, at_least and at_most is needed', 'selector: is missing'],
        )
        ->and($draft->requirements[3]->problems)->toBe(['a map with id, kind and title was expected'])
        ->and(count($draft->brief->requirements))->toBe(1)->and($draft->brief->scheme->step)->toBe(0.5)
        ->and(implode("\n", $draft->problems))->toContain('line 5', '"one" is the id of another requirement');
});

it('is written as YAML that says the same, whole or not', function (string $source) {
    $draft = ProposedBrief::read($source);

    expect(ProposedBrief::read(BriefWriter::draft($draft))->values)->toEqual($draft->values);
})->with([
    'whole' => ["title: T\nrequirements:\n  - {id: a, kind: look, title: L, steps: {0: 2, 3: 1}}"],
    'steps that could be a list' => [
        '{"title": "T", "requirements": [{"id": "a", "kind": "look", "title": "L", "steps": {"0": 2, "1": 1}}, 7]}',
    ],
    'not whole' => ['{"title": "", "requirements": [{"id": "a", "kind": "count"}]}'],
    'empty' => ["title: T\nrequirements: []"],
]);

it('writes steps as a map, whatever their numbers', function () {
    $draft = ProposedBrief::read('{title: T, requirements: [{id: a, kind: look, title: L, steps: {0: 2, 1: 1}}]}');

    expect(BriefWriter::draft($draft))->toContain("steps: { '0': 2, '1': 1 }");
});

it('says when a text is no brief at all', function (string $source) {
    expect(fn () => ProposedBrief::read($source))->toThrow(BriefError::class);
})->with(['nothing' => [''], 'broken off' => ['a: ['], 'words' => ['words'], 'no UTF-8' => ["\xff"]]);

it('offers ready-made requirements of every kind, each of which can be read', function () {
    $kinds = [];
    foreach (ReadyMade::all() as $one) {
        $brief = BriefReader::read(
            json_encode(
                ['title' => 'T', 'requirements' => [['id' => 'it', 'points' => 2] + $one->values]],
                JSON_THROW_ON_ERROR,
            ),
        );
        $kinds[$brief->requirements[0]::kind()] = true;
        expect($brief->requirements[0]->sentence())->toEndWith('.', $one->words);
    }
    expect(array_diff(Kinds::names(), array_keys($kinds)))->toBe([]);
});

it('has sentences in pencil that are read and tried, and are no part of the brief', function () {
    $draft = ProposedBrief::read(<<<'YAML'
        title: T
        requirements:
          - {id: one, kind: titles, title: Titles, points: 2}
        proposed:
          - {id: two, kind: contrast, title: Contrast, points: 3}
          - {id: three, kind: count, title: Cells}
        ignore: [link/empty]
        YAML);

    expect($draft->problems)->toBe([])
        ->and(array_map(fn ($one) => $one->requirement?->terms->id, $draft->proposed))->toBe(['two', null])
        ->and(array_map(fn ($one) => $one->terms->id, $draft->brief->requirements))->toBe(['one'])
        ->and($draft->brief->points())->toBe(2.0)
        ->and(array_map(fn ($one) => $one->terms->id, $draft->proposal->requirements))->toBe(['two'])
        ->and($draft->proposal->ignored[0]->rules)->toBe(['link/empty'])
        ->and(BriefWriter::draft($draft))->not->toContain('proposed')->toContain('link/empty')
        ->and(fn () => BriefReader::read('title: T
requirements:
  - {id: a, kind: look, title: L}
proposed: []'))->toThrow(BriefError::class, 'proposed');
});

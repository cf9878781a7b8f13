<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\Proposal;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Tests\Fuzz\Inventor;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Seed;

/** @return list<string> requirements of a proposed brief that its own model does not meet in full */
function notMetByItsModel(Site $model): array
{
    // As it is kept and read again, to the letter.
    $brief = BriefReader::read(BriefWriter::yaml(Proposal::from(ParsedSite::of($model), 'T')));
    $failing = array_filter(
        Check::run($model, $brief)->outcomes,
        fn (Outcome $one) => $one->kind !== OutcomeKind::Met && $one->requirement::kind() !== 'look',
    );

    return array_values(array_map(fn (Outcome $one) => "{$one->requirement->terms->id}: {$one->measured}", $failing));
}

it('proposes what the model meets in full, for each site of the demo', function (string $folder) {
    expect(notMetByItsModel((new FolderReader)->read($folder)))->toBe([]);
})->with(array_map(
    fn (string $folder) => [$folder],
    array_filter(glob(__DIR__.'/../../../demo/hand-ins/*/*', GLOB_ONLYDIR) ?: []),
));

it('proposes what the model meets in full, for sites that nobody would make', function () {
    $seed = Seed::fresh();
    for ($trial = 0; $trial < 40; $trial++) {
        $number = $seed->number(1, 999_999_999);
        $model = Samples::site((new Inventor($number))->site());
        try {
            expect(notMetByItsModel($model))->toBe([], "inventor $number");
        } catch (BriefError $error) {
            expect($error->problems)->toBe(
                ['there is no page in the model answer to propose a brief from'],
                "inventor $number",
            );
        }
    }
});

it('proposes what an instructor would ask for', function (string $site, array $kinds, string $yaml) {
    $brief = Proposal::from(
        ParsedSite::of((new FolderReader)->read(__DIR__."/../../../demo/hand-ins/$site")),
        'Almanac',
    );

    expect(array_map(fn ($one) => $one::kind(), $brief->requirements))->toBe($kinds)
        ->and(BriefWriter::yaml($brief))->toContain($yaml);
})->with([
    'a menu site' => [
        'island-almanac/glindqvay',
        [
            'files', 'titles', 'headings', 'skeleton', 'stylesheets', 'navigation', 'pictures', 'count', 'count', 'link',
            'contrast', 'indentation', 'look',
        ],
        "pattern: 'Marrow Sound - *'",
    ],
    'a ring' => [
        'lamplighters-round/glindqvay',
        [
            'files', 'titles', 'headings', 'skeleton', 'stylesheets', 'navigation', 'pictures', 'contrast',
            'indentation', 'look',
        ],
        'pattern: ring',
    ],
    'a story' => [
        'storm-drill/afennimore',
        ['files', 'titles', 'headings', 'skeleton', 'stylesheets', 'navigation', 'contrast', 'indentation', 'look'],
        'pattern: branching',
    ],
]);

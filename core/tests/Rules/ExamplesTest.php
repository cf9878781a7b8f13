<?php

declare(strict_types=1);

use InkedMargin\Core\Example\Example;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** @return list<string> what was found, as rule and variant */
function kindsFound(Example $example, bool $isBad): array
{
    $report = Check::run(
        $isBad ? $example->badSite() : $example->goodSite(),
        $example->brief(),
        materials: $example->materials(),
    );

    return array_map(fn (PlacedFinding $placed) => $placed->finding->kind(), $report->findings);
}

/** Every example of every rule, by rule and variant. */
dataset('examples', function () {
    foreach (Catalogue::rules() as $rule) {
        foreach ($rule->examples() as $example) {
            yield trim("{$rule->id} {$example->variant}") => [$rule, $example];
        }
    }
});

it('gives exactly the finding of a bad example, and none on the good one', function (Rule $rule, Example $example) {
    $kind = $example->variant === '' ? $rule->id : "{$rule->id}:{$example->variant}";

    expect(kindsFound($example, true))->toBe([$kind])
        ->and(kindsFound($example, false))->toBe([]);
})->with('examples');

it('offers a mend that makes the finding go and brings no fault or departure', function (Rule $rule, Example $example) {
    $site = $example->badSite();
    $brief = $example->brief();
    $files = array_map(fn (SourceFile $file) => $file->bytes, $site->files());
    $materials = $example->materials();
    foreach (Check::run($site, $brief, materials: $materials)->findings as $placed) {
        $mended = $placed->finding->mend?->applyTo($files);
        if ($mended === null) {
            expect($placed->finding->mend)->toBeNull();

            continue;
        }
        $after = Check::run(
            new Site(
                'mended',
                array_map(
                    fn (string $path, string $bytes) => new SourceFile($path, $bytes),
                    array_keys($mended),
                    $mended,
                ),
                $site->packing,
            ),
            $brief,
            materials: $materials,
        );
        $heavy = array_filter(
            $after->findings,
            fn (PlacedFinding $one) => $one->finding->weight !== Weight::Tidy || $one->finding->rule === $rule->id,
        );

        expect(
            array_map(fn (PlacedFinding $one) => $one->finding->kind().' '.$one->finding->message, $heavy),
        )->toBe([]);
    }
})->with('examples');

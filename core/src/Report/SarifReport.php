<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\FindingCosts;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Rule;

/** A report as SARIF 2.1.0 (OASIS), so that other tools can show it. Columns count code points (3.14.17). */
final readonly class SarifReport
{
    public static function render(CheckReport $report): string
    {
        $costs = FindingCosts::of($report);

        return Json::text([
            'version' => '2.1.0',
            'runs' => [[
                'tool' => ['driver' => [
                    'name' => 'Inked Margin',
                    'version' => Check::ENGINE,
                    'rules' => array_map(self::rule(...), Catalogue::rules()),
                ]],
                'columnKind' => 'unicodeCodePoints',
                'results' => array_map(
                    fn (PlacedFinding $one) => self::result($one, $costs->get($one->fingerprint) ?? 0.0),
                    $report->findings,
                ),
            ]],
        ]);
    }

    /** @return array<string, mixed> */
    private static function rule(Rule $rule): array
    {
        return [
            'id' => $rule->id,
            'shortDescription' => ['text' => $rule->title],
            'fullDescription' => ['text' => $rule->facts->summary],
            'help' => ['text' => $rule->facts->why],
            ...($rule->facts->source->url === null ? [] : ['helpUri' => $rule->facts->source->url]),
            'defaultConfiguration' => ['level' => self::level($rule->weight)],
        ];
    }

    /** @return array<string, mixed> */
    private static function result(PlacedFinding $placed, float $cost): array
    {
        $finding = $placed->finding;
        $physical = self::physicalLocation($placed);

        $result = [
            'ruleId' => $finding->rule,
            'level' => self::level($finding->weight),
            'message' => ['text' => trim("$finding->message $finding->remedy")],
            // A finding about the site as a whole has no file to point at (3.27.12 allows an empty list).
            'locations' => $finding->file === '' ? [] : [['physicalLocation' => $physical]],
            'partialFingerprints' => ['inkedMargin/v2' => $placed->fingerprint],
            'properties' => ['variant' => $finding->variant, 'cost' => $cost],
        ];

        return $finding->mend === null ? $result : $result + ['fixes' => [self::fix($finding->mend, $finding->remedy)]];
    }

    /** @return array<string, mixed> */
    private static function physicalLocation(PlacedFinding $placed): array
    {
        $finding = $placed->finding;
        $physical = ['artifactLocation' => ['uri' => self::uri($finding->file)]];
        if ($finding->source !== null) {
            $physical['region'] = [
                'startLine' => $placed->start->line,
                'startColumn' => $placed->start->column,
                'endLine' => $placed->end->line,
                'endColumn' => $placed->end->column,
                'byteOffset' => $placed->start->offset,
                'byteLength' => $placed->end->offset - $placed->start->offset,
            ];
        }

        return $physical;
    }

    /** @return array<string, mixed> 3.55: one change a file, with its replacements */
    private static function fix(Mend $mend, string $remedy): array
    {
        $replacements = [];
        foreach ($mend->edits as $edit) {
            $span = $edit->inFile();
            $replacements[$edit->source->path][] = [
                'deletedRegion' => ['byteOffset' => $span->start, 'byteLength' => $span->length()],
                'insertedContent' => ['text' => $edit->text],
            ];
        }

        return [
            'description' => ['text' => $remedy],
            'artifactChanges' => array_map(self::artifactChange(...), array_keys($replacements), $replacements),
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $replacements
     * @return array<string, mixed>
     */
    private static function artifactChange(int|string $path, array $replacements): array
    {
        return ['artifactLocation' => ['uri' => self::uri((string) $path)], 'replacements' => $replacements];
    }

    private static function uri(string $path): string
    {
        return implode('/', array_map(rawurlencode(...), explode('/', $path)));
    }

    private static function level(Weight $weight): string
    {
        return match ($weight) {
            Weight::Fault => 'error',
            Weight::Departure => 'warning',
            Weight::Tidy => 'note',
        };
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests;

use InkedMargin\Core\Example\Example;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Rules\Rule;

/** What the rules say about their bad examples: place, message, remedy, mend and related places. */
final class WordsOfExamples
{
    /** @param  list<Rule>  $rules */
    public static function render(array $rules): string
    {
        $lines = ['# What the rules say of their examples', ''];
        foreach ($rules as $rule) {
            foreach ($rule->examples() as $example) {
                array_push($lines, ...self::ofExample($rule, $example));
            }
        }

        return implode("\n", $lines);
    }

    /** @return list<string> */
    private static function ofExample(Rule $rule, Example $example): array
    {
        $report = Check::run($example->badSite(), $example->brief(), materials: $example->materials());
        $lines = [];
        foreach ($report->findings as $placed) {
            if ($placed->finding->rule === $rule->id) {
                array_push($lines, ...self::ofFinding($placed));
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private static function ofFinding(PlacedFinding $placed): array
    {
        $finding = $placed->finding;
        $lines = [
            "## {$finding->kind()} ({$finding->weight->value}, {$finding->mark->value}) {$finding->file}:"
                ."{$placed->start->line}:{$placed->start->column}-{$placed->end->line}:{$placed->end->column}",
            $finding->message,
            "> $finding->remedy",
        ];
        foreach ($finding->related as $related) {
            $lines[] = "- {$related->source->path}:{$related->source->position($related->span->start)->line} $related->message";
        }
        foreach ($finding->mend->edits ?? [] as $edit) {
            $lines[] = self::ofEdit($edit);
        }

        return [...$lines, ''];
    }

    private static function ofEdit(Edit $edit): string
    {
        $written = substr($edit->source->bytes, $edit->span->start, $edit->span->length());

        return "~ {$edit->source->path}:{$edit->span->start} ".json_encode([$written, $edit->text], JSON_UNESCAPED_SLASHES
            | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
    }
}

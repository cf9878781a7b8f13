<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Scheme;
use InkedMargin\Core\Example\Example;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Marking\Reason;
use InkedMargin\Core\Marking\Recount;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Tests\Promises\Breakage;
use InkedMargin\Core\Tests\Promises\InventedWork;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Seed;
use InkedMargin\Core\Tests\Slips;

// The five promises of marking.md, on sites and briefs that nobody wrote: the product's own promises, no other source.

/** @return list<string> what a report breaks of promises 1, 3 and 5, whatever was checked */
function brokenIn(CheckReport $report): array
{
    $broken = [];
    $known = array_fill_keys(
        array_map(fn (PlacedFinding $one) => "print $one->fingerprint", $report->findings),
        true,
    );
    if (abs($report->score->possible - $report->brief->points()) > 0.001) {
        $broken[] = "the base is {$report->score->possible}, and the brief has {$report->brief->points()}";
    }
    $bearers = [];
    foreach ($report->outcomes as $outcome) {
        $id = "{$outcome->requirement->terms->id} {$outcome->requirement::kind()}";
        $lost = round($outcome->points->possible - $outcome->points->awarded, 2);
        $costs = round(array_sum(array_map(fn (Reason $one) => $one->cost, $outcome->reasons)), 2);
        if ($outcome->kind !== OutcomeKind::NotJudged && $lost !== $costs) {
            $broken[] = "$id lost $lost, and its reasons cost $costs";
        }
        foreach ($outcome->reasons as $reason) {
            if ($reason->cost > 0.0 && ($reason->finding === null || ! isset($known["print $reason->finding"]))) {
                $told = $reason->shortfall->draft->message;
                $broken[] = "$id lost $reason->cost by \"$told\", which no finding shows";
            }
            if ($reason->follows !== null && $reason->cost !== 0.0) {
                $broken[] = "$id follows from $reason->follows and costs $reason->cost";
            }
            $isAlone = $reason->shortfall->isMissingPage || $outcome->requirement->terms->countsAlone;
            if ($reason->cost > 0.0 && ! $isAlone) {
                $bearers["print $reason->finding"][$id] = $id;
            }
        }
    }
    foreach ($bearers as $print => $ids) {
        if (count($ids) > 1) {
            $broken[] = "$print costs in ".implode(' and ', $ids);
        }
    }

    return $broken;
}

/** What an outcome comes to when some findings are rubbed out. */
function recounted(Outcome $outcome, array $rubbedOut): Recount
{
    return $outcome->recount($rubbedOut);
}

/** @return list<string> what a report breaks of promise 4 */
function brokenByRubbingOut(CheckReport $report, Seed $seed): array
{
    $broken = [];
    $prints = array_map(fn (PlacedFinding $one) => $one->fingerprint, $report->findings);
    $some = array_values(array_filter($prints, fn () => $seed->chance(50)));
    foreach ($report->outcomes as $outcome) {
        if ($outcome->kind === OutcomeKind::NotJudged) {
            continue;
        }
        $id = "{$outcome->requirement->terms->id} {$outcome->requirement::kind()}";
        $none = recounted($outcome, []);
        if ($none->points !== $outcome->points->awarded || $none->kind !== $outcome->kind) {
            $broken[] = "$id: {$outcome->points->awarded} becomes $none->points when nothing is rubbed out";
        }
        $half = recounted($outcome, $some);
        $lost = round($outcome->points->possible - $half->points, 2);
        if ($half->points < $none->points || $lost !== round(array_sum($half->costs), 2)) {
            $broken[] = "$id: $none->points becomes $half->points, with costs of ".array_sum($half->costs);
        }
        foreach ($outcome->reasons as $at => $reason) {
            if (in_array($reason->finding, $some, true) && $half->costs[$at] !== 0.0) {
                $broken[] = "$id: what was rubbed out costs {$half->costs[$at]}";
            }
        }
        if (recounted($outcome, $prints)->points !== $outcome->points->possible) {
            $broken[] = "$id: with everything rubbed out it has {$half->points} of {$outcome->points->possible}";
        }
    }

    return $broken;
}

function isMore(CheckReport $broken, CheckReport $right): bool
{
    return $broken->score->awarded > $right->score->awarded + 0.001
        || $broken->score->possible !== $right->score->possible;
}

/** @return list<string> */
function brokenPromises(InventedWork $work, CheckReport $right, array $files, Seed $seed): array
{
    $report = $work->check($files);

    return [
        ...brokenIn($report),
        ...brokenByRubbingOut($report, $seed),
        ...isMore($report, $right)
            ? ["{$report->score->awarded} of {$report->score->possible} is more than {$right->score->awarded} of {$right->score->possible}"]
            : [],
    ];
}

it('keeps its promises when a right site is broken in any way', function (int $trials) {
    $seed = Seed::fresh();
    for ($trial = 0; $trial < $trials; $trial++) {
        $work = InventedWork::from($seed);
        $right = $work->check($work->files);
        expect($right->score->awarded)->toBeGreaterThan(
            $right->score->judged - Scheme::HALF,
            "seed $seed->value, trial $trial: the right site is not right: ".implode(', ', array_map(
                fn (Outcome $one) => "{$one->requirement->terms->id} $one->measured",
                $right->outcomes,
            ))."\n$work->yaml",
        );
        for ($times = 0; $times < 5 && $trial < $trials; $times++, $trial++) {
            $files = $work->files;
            $done = [];
            for ($more = $seed->number(1, 3); $more > 0; $more--) {
                [$done[], $files] = Breakage::of($files, $seed);
            }
            expect(brokenPromises($work, $right, $files, $seed))->toBe(
                [],
                "seed $seed->value, trial $trial: ".implode(', ', $done)."\n$work->yaml",
            );
        }
    }
})->with(['a few' => [200]]);

it('keeps its promises two thousand times', function () {
    $seed = Seed::fresh();
    for ($trial = 0; $trial < 2_000; $trial++) {
        $work = InventedWork::from($seed);
        $right = $work->check($work->files);
        [$way, $files] = Breakage::of($work->files, $seed);
        expect(brokenPromises($work, $right, $files, $seed))->toBe(
            [],
            "seed $seed->value, trial $trial: $way\n$work->yaml",
        );
    }
})->group('slow');

/** A brief of any kinds for the site that the slips are made on. */
function briefForSlips(): string
{
    return <<<'YAML'
        title: Island
        requirements:
          - {id: files, kind: files, title: Files, points: 5, names: [index.html, birds.html, boats.html, tides.html, seals.html]}
          - {id: titles, kind: titles, title: Titles, points: 5}
          - {id: parts, kind: skeleton, title: Parts, points: 5, parts: [nav, main, footer]}
          - {id: headings, kind: headings, title: Headings, points: 4, credit: all}
          - {id: menu, kind: navigation, title: Menu, points: 6, menu: [{index.html: Home}, {birds.html: Birds}, {boats.html: Boats}, {tides.html: Tides}, {seals.html: Seals}]}
          - {id: pattern, kind: navigation, title: Pattern, points: 6, pattern: menu}
          - {id: pictures, kind: pictures, title: Pictures, points: 4, at_least: 1}
          - {id: alt, kind: attributes, title: Alt text, points: 4, selector: img, has: alt}
          - {id: markup, kind: markup, title: Markup, points: 10, rules: [markup], steps: {0: 10, 2: 6}}
          - {id: links, kind: markup, title: Links, points: 5, rules: [link]}
          - {id: paragraphs, kind: count, title: Paragraphs, points: 3, selector: main p, exactly: 2}
        YAML;
}

it('keeps its promises for each slip of the hand', function (string $from, string $to) {
    $brief = BriefReader::read(briefForSlips());
    $site = Slips::site();
    $right = Samples::check($site, $brief);
    $site['boats.html'] = preg_replace('~'.preg_quote($from, '~').'~', addcslashes($to, '\\$'), $site['boats.html'], 1);
    $broken = Samples::check($site, $brief);

    expect(brokenIn($broken))->toBe([])
        ->and(isMore($broken, $right))->toBeFalse()
        ->and($right->score->awarded)->toBe($right->score->possible);
})->with(Slips::onOnePage());

it('keeps its promises for each exact remedy, taken back', function (Example $example) {
    // Every rule, whether the brief of its example asks for anything or not.
    $asked = $example->requirement === [] ? '' : "\n  - {id: it, title: It, points: 4, {$example->fields()}}";
    $groups = implode(', ', array_unique(array_map(fn ($rule) => $rule->facts->group(), Catalogue::rules())));
    $brief = BriefReader::read(
        "title: T\nmarking: {off_per_tidy: 0.25}\nrequirements:\n  - {id: rules, kind: markup, title: R, points: 8, "
            ."rules: [$groups], weights: [fault, departure]}$asked",
    );
    $check = fn (bool $isBad) => Check::run(
        $isBad ? $example->badSite() : $example->goodSite(),
        $brief,
        materials: $example->materials(),
    );
    [$bad, $good] = [$check(true), $check(false)];

    expect(brokenIn($bad))->toBe([])->and(brokenIn($good))->toBe([])
        ->and($bad->score->awarded)->toBeLessThanOrEqual($good->score->awarded);
})->with(function () {
    foreach (Catalogue::rules() as $rule) {
        foreach ($rule->examples() as $example) {
            yield "$rule->id $example->variant" => [$example];
        }
    }
});

<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Marking\Earned;
use InkedMargin\Core\Marking\Score;
use InkedMargin\Core\Marking\ScoreLine;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Seed;

/** A brief with nothing but how points come together. */
function marked(string $marking): Brief
{
    return BriefReader::read(
        "title: T\nmarking: {{$marking}}\nrequirements: [{id: it, kind: look, title: It, points: 1}]",
    );
}

it('comes to the points that a scheme asks for, and shows how', function (string $marking, array $found, int $late, float $awarded, array $lines) {
    $score = Score::of(
        [new Earned('a', 'A', 7.0, 10.0, '70 %'), new Earned('b', 'B', null, 5.0, '')],
        marked($marking)->scheme,
        $found,
        $late,
    );

    expect([$score->awarded, $score->possible])->toBe([$awarded, 15.0])
        ->and($score->judged)->toBe(10.0)
        ->and(array_map(fn (ScoreLine $line) => "$line->points $line->title", $score->lines))->toBe(['7 A', '0 B', ...$lines]);
})->with([
    'nothing beside the requirements' => ['', ['fault' => 9], 9_999, 7.0, []],
    'for each fault' => ['off_per_fault: 0.5', ['fault' => 3, 'tidy' => 8], 0, 5.5, ['-1.5 Faults']],
    'for each, with a cap' => [
        'off_per_fault: 1, off_per_tidy: 0.25, most_off: 2',
        ['fault' => 2, 'tidy' => 4],
        0,
        5.0,
        ['-2 Faults', '-1 Advice', '1 Limit for these'],
    ],
    'never below zero' => [
        'off_per_departure: 2',
        ['departure' => 20],
        0,
        0.0,
        ['-40 Departures', '33 Never below zero'],
    ],
    'percent of the total' => ['percent_per_day: 10', [], 1, 5.5, ['-1.5 Late']],
    'points and percent' => ['percent_per_day: 10, off_per_day: 1', [], 1, 4.5, ['-2.5 Late']],
    'a minute late' => ['off_per_day: 2', [], 1, 5.0, ['-2 Late']],
    'within the grace' => ['off_per_day: 2, grace: 15', [], 15, 7.0, []],
    'a minute beyond the grace' => ['off_per_day: 2, grace: 15', [], 16, 5.0, ['-2 Late']],
    'a day and a minute late' => ['off_per_day: 2', [], 1_441, 3.0, ['-4 Late']],
    'late, down to a floor' => ['off_per_day: 2, late_floor: 4', [], 14_400, 4.0, ['-3 Late']],
    'late, and below the floor before' => ['off_per_day: 2, late_floor: 8', [], 1, 7.0, []],
    'rounded, half up' => [
        'off_per_fault: 0.25, round_to: 0.5',
        ['fault' => 1],
        0,
        7.0,
        ['-0.25 Faults', '0.25 Rounding'],
    ],
    'rounded down' => [
        'off_per_fault: 0.3, round_to: 0.5',
        ['fault' => 1],
        0,
        6.5,
        ['-0.3 Faults', '-0.2 Rounding'],
    ],
]);

it('gives what was given by hand, within what is possible, with its reason', function (float $hand, float $awarded) {
    $score = Score::of([new Earned('a', 'A', 7.0, 10.0, '70 %', $hand, 'Shown in class')]);

    expect($score->awarded)->toBe($awarded)
        ->and($score->lines[0]->how)->toBe('given by hand instead of 7: Shown in class');
})->with([[9.0, 9.0], [12.0, 10.0], [-1.0, 0.0]]);

it('counts what only a person can judge from the start, and says that it is not judged yet', function () {
    $judged = fn (?float $hand) => Score::of([new Earned('a', 'A', null, 4.0, '', $hand)]);

    expect([$judged(null)->awarded, $judged(null)->possible, $judged(null)->open()])->toBe([0.0, 4.0, 4.0])
        ->and($judged(null)->lines[0]->how)->toBe('not judged yet')
        ->and([$judged(3.0)->awarded, $judged(3.0)->possible, $judged(3.0)->open()])->toBe([3.0, 4.0, 0.0]);
});

it('stays within what is possible, and its lines add up, whatever the scheme', function () {
    $seed = Seed::fresh();
    for ($trial = 0; $trial < 500; $trial++) {
        $number = fn (int $most) => $seed->number(0, $most * 4) / 4;
        $earned = [];
        for ($i = $seed->number(0, 6); $i > 0; $i--) {
            $possible = $number(20);
            $points = $seed->number(0, 5) === 0 ? null : round($possible * $seed->number(0, 7) / 7, 2);
            $hand = $seed->number(0, 4) === 0 ? $number(30) - 5 : null;
            $earned[] = new Earned("r$i", "R$i", $points, $possible, '', $hand);
        }
        $step = [0.01, 0.1, 0.25, 0.5, 1.0][$seed->number(0, 4)];
        $scheme = marked("off_per_fault: {$number(2)}, off_per_tidy: {$number(1)}, most_off: {$number(9)}, grace: {$seed->number(0, 60)}, "
            ."off_per_day: {$number(5)}, late_floor: {$number(10)}, round_to: $step")->scheme;
        $score = Score::of(
            $earned,
            $scheme,
            ['fault' => $seed->number(0, 9), 'tidy' => $seed->number(0, 9)],
            $seed->number(0, 9_000),
        );

        expect($score->awarded)->toBeGreaterThanOrEqual(0.0, "seed $seed->value")
            ->toBeLessThanOrEqual($score->judged, "seed $seed->value")
            ->and(round(
                array_sum(array_map(fn (ScoreLine $line) => $line->points, $score->lines)),
                4,
            ))->toBe($score->awarded);
        if ($score->awarded < $score->judged) {
            expect(round(fmod($score->awarded + 1e-9, $step), 6))->toBe(0.0, "seed $seed->value");
        }
    }
});

it('takes points for findings that no requirement tells of, and for no others', function () {
    $brief = fn (string $more) => BriefReader::read(
        "title: T\nmarking: {off_per_fault: 1}\nrequirements:\n  - {id: it, kind: count, title: It, points: 4, selector: p, at_least: 1}\n$more",
    );
    $files = ['index.html' => Samples::page('<p>a <img src="none.png" alt="b"></p>')];

    expect(Samples::check($files, $brief(''))->score->awarded)->toBe(3.0)
        ->and(Samples::check(
            $files,
            $brief("  - {id: sound, kind: markup, title: M, points: 2, rules: link}\n"),
        )->score->awarded)->toBe(4.0);
});

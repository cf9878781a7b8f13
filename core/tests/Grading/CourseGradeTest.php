<?php

declare(strict_types=1);

use InkedMargin\Core\Grading\CountedPiece;
use InkedMargin\Core\Grading\CourseGrade;
use InkedMargin\Core\Grading\CoursePart;
use InkedMargin\Core\Grading\PartGrade;
use InkedMargin\Core\Grading\Percent;
use InkedMargin\Core\Grading\Piece;
use InkedMargin\Core\Grading\Result;
use InkedMargin\Core\Grading\ResultKind;
use InkedMargin\Core\Tests\Seed;

function earned(float $awarded, float $possible = 10.0): Result
{
    return new Result(ResultKind::Earned, $awarded, $possible);
}

/** @param  array<string, float>  $weights  by the id of the piece */
function part(array $weights, ?int $best = null, float $weight = 1.0, string $title = 'All work'): CoursePart
{
    return new CoursePart(
        $title,
        $weight,
        $best,
        array_map(fn (string $id) => new Piece($id, ucfirst($id), $weights[$id]), array_keys($weights)),
    );
}

it('is the mean of what counts', function (array $results, ?float $percent, string $how) {
    $grade = PartGrade::of(part(['a' => 1, 'b' => 1, 'c' => 1]), $results);
    expect($grade->share === null ? null : Percent::number($grade->share))
        ->toBe($percent)->and($grade->how)->toBe($how);
})->with([
    'all of it' => [['a' => earned(10), 'b' => earned(5), 'c' => earned(6)], 70.0, '(100 % + 50 % + 60 %) / 3'],
    'nothing yet' => [[], null, 'nothing counts yet'],
    'one' => [['b' => earned(1, 3)], 33.33, '33.33 %'],
    'what is missing is zero' => [
        ['a' => earned(10), 'b' => new Result(ResultKind::Missing)],
        50.0,
        '(100 % + 0 %) / 2',
    ],
    'what is excused does not count' => [
        ['a' => earned(8), 'b' => new Result(ResultKind::Excused), 'c' => earned(4)],
        60.0,
        '(80 % + 40 %) / 2',
    ],
    'points by hand count as others do' => [['a' => new Result(ResultKind::ByHand, 12, 10)], 120.0, '120 %'],
    'nothing to earn is left out' => [['a' => earned(0, 0), 'b' => earned(9)], 90.0, '90 %'],
]);

it('weighs pieces and parts', function () {
    $parts = [
        part(['a' => 1, 'b' => 3], title: 'Exercises', weight: 40),
        part(['p' => 1], title: 'Project', weight: 60),
    ];
    $grade = CourseGrade::of($parts, ['a' => earned(10), 'b' => earned(6), 'p' => earned(9)]);
    expect(Percent::number((float) $grade->share))->toBe(82.0)
        ->and($grade->how)->toBe('(40 × 70 % + 60 × 90 %) / 100')
        ->and($grade->parts[0]->how)->toBe('(1 × 100 % + 3 × 60 %) / 4');

    // A part in which nothing counts yet takes nothing away.
    $grade = CourseGrade::of($parts, ['a' => earned(10), 'b' => earned(6)]);
    expect(Percent::number((float) $grade->share))->toBe(70.0)->and($grade->how)->toBe('Exercises alone counts');
    expect(CourseGrade::of($parts, [])->share)->toBeNull();
});

it('counts the best of several, and says of each other why it does not', function () {
    $grade = PartGrade::of(
        part(['a' => 1, 'b' => 1, 'c' => 1, 'd' => 0, 'e' => 1, 'f' => 1], best: 2),
        [
            'a' => earned(4),
            'b' => earned(9),
            'c' => earned(7),
            'd' => earned(10),
            'e' => new Result(ResultKind::Excused),
        ],
    );
    expect(Percent::number((float) $grade->share))->toBe(80.0)
        ->and($grade->how)->toBe('the best 2 of 6 pieces: (90 % + 70 %) / 2')
        ->and(array_map(fn (CountedPiece $one) => $one->why, $grade->pieces))
        ->toBe(['not among the best 2', '', '', 'its weight is 0', 'excused', 'not yet']);
});

it('takes the heavier of two that are alike, then the earlier', function () {
    $counted = fn (array $weights) => array_map(
        fn (CountedPiece $one) => $one->counts,
        PartGrade::of(part($weights, best: 1), ['a' => earned(5), 'b' => earned(5)])->pieces,
    );
    expect($counted(['a' => 1, 'b' => 2]))->toBe([false, true])
        ->and($counted(['a' => 1, 'b' => 1]))->toBe([true, false]);
});

it('never gives less for more, and lies between the least and the most that counts', function () {
    $seed = Seed::fresh();
    for ($trial = 0; $trial < 300; $trial++) {
        $ids = range('a', chr(ord('a') + $seed->number(1, 7)));
        $weights = array_combine($ids, array_map(fn () => (float) $seed->number(1, 4), $ids));
        $results = array_combine($ids, array_map(fn () => earned((float) $seed->number(0, 10)), $ids));
        $best = $seed->number(0, 1) === 1 ? $seed->number(1, count($ids)) : null;
        $before = PartGrade::of(part($weights, $best), $results);
        $shares = array_map(fn (CountedPiece $one) => $one->counts ? $one->share : null, $before->pieces);
        $shares = array_filter($shares, fn (?float $share) => $share !== null);
        expect(count($shares))->toBe($best ?? count($ids))
            ->and($before->share)->toBeBetween(min($shares) - 1e-9, max($shares) + 1e-9);
        // With even weights a better piece never lowers the whole.
        $even = array_fill_keys($ids, 1.0);
        $id = $ids[$seed->number(0, count($ids) - 1)];
        $more = [...$results, $id => earned(10.0)];
        expect(PartGrade::of(part($even, $best), $more)->share)->toBeGreaterThanOrEqual(
            PartGrade::of(part($even, $best), $results)->share - 1e-9,
        );
    }
});

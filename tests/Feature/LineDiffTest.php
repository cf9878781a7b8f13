<?php

declare(strict_types=1);

use App\Replies\DiffLine;
use App\Replies\DiffPlace;
use App\Replies\LineDiff;

/** @return array{list<string>, list<string>} lines that are taken out and that are added, in their order */
function changedLines(string $before, string $after): array
{
    $lines = array_merge(
        ...array_map(fn (DiffPlace $place) => $place->lines, LineDiff::between($before, $after)) ?: [[]],
    );
    $of = fn (string $step) => array_values(array_map(
        fn (DiffLine $line) => $line->text,
        array_filter($lines, fn (DiffLine $line) => $line->step === $step),
    ));

    return [$of('removed'), $of('added')];
}

it('differs in as many lines as git says, and its changes make the one of the other', function () {
    $seed = (int) (getenv('SEED') ?: random_int(1, 1_000_000_000));
    fwrite(STDERR, "  line differences, seed $seed (SEED)\n");
    mt_srand($seed);
    $folder = sys_get_temp_dir().'/margin-diff-'.bin2hex(random_bytes(5));
    mkdir($folder);
    foreach (range(1, 40) as $trial) {
        // Pages repeat themselves: few different lines, and many alike.
        $words = array_map(fn () => '<li>'.chr(97 + mt_rand(0, 11)).'</li>', range(1, mt_rand(1, 60)));
        $others = $words;
        foreach (range(1, mt_rand(1, 12)) as $ignored) {
            $at = mt_rand(0, count($others));
            mt_rand(0, 1) === 1
                ? array_splice($others, $at, 0, ['<li>'.chr(97 + mt_rand(0, 15)).'</li>'])
                : array_splice($others, $at, mt_rand(0, 3));
        }
        [$before, $after] = [implode("\n", $words)."\n", implode("\n", $others)."\n"];
        file_put_contents("$folder/a", $before);
        file_put_contents("$folder/b", $after);
        // git 2, diff --no-index --minimal: as few changed lines as there can be.
        $counts = (string) shell_exec(
            'git diff --no-index --minimal --numstat '.escapeshellarg("$folder/a").' '.escapeshellarg("$folder/b"),
        );
        [$added, $removed] = $counts === '' ? [0, 0] : array_map(intval(...), explode("\t", $counts));
        $mine = changedLines($before, $after);

        expect([$trial, count($mine[0]), count($mine[1])])->toBe([$trial, $removed, $added], "seed $seed");
    }
    array_map(unlink(...), ["$folder/a", "$folder/b"]);
    rmdir($folder);
});

it('shows two lines around what differs, and one place for what is near', function () {
    $lines = range(1, 30);
    $other = array_replace($lines, [9 => 'x', 12 => 'y', 25 => 'z']);
    $places = LineDiff::between(implode("\n", $lines), implode("\n", $other));

    expect(array_map(fn (DiffPlace $one) => [$one->line, count($one->lines)], $places))->toBe([[8, 10], [24, 6]]);
});

it('does not count line ends, and finds nothing where nothing differs', function () {
    expect(LineDiff::between("a\r\nb\r\n", "a\nb\n"))->toBe([])->and(LineDiff::between('', ''))->toBe([])
        ->and(changedLines("a\nb", "a\nb\n"))->toBe([[], ['']]);
});

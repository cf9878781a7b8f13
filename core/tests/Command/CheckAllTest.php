<?php

declare(strict_types=1);

use InkedMargin\Core\Command\CheckAll;
use InkedMargin\Core\Command\RosterStudent;
use InkedMargin\Core\Tests\Command\RunMargin;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/margin-class-'.bin2hex(random_bytes(6));
    mkdir("$this->folder/ovoss_project", 0o700, true);
    mkdir("$this->folder/.git");
    file_put_contents("$this->folder/ovoss_project/index.html", Samples::page('<p>Fine</p>'));
    copy(Samples::zip(['index.html' => Samples::page('<img src="none.png">')]), "$this->folder/wfinch.zip");
    file_put_contents("$this->folder/broken.zip", 'no zip');
    file_put_contents("$this->folder/notes.txt", 'x');
    file_put_contents(
        "$this->folder/../brief-of-class.yaml",
        "title: T\nrequirements:\n  - {id: p, kind: count, title: A picture, selector: img, exactly: 1, points: 3}\n",
    );
    file_put_contents(
        "$this->folder/../roster-of-class.csv",
        "name,handle\n\"Finch, Willa\",wfinch\nOrla Voss,OVoss\n",
    );
    $this->all = fn (string ...$options) => RunMargin::with('', 'check-all', $this->folder, ...$options);
});

it('checks every zip and folder, a line each, and says what is most common', function () {
    [$code, $out, $errors] = ($this->all)(
        "--brief=$this->folder/../brief-of-class.yaml",
        "--roster=$this->folder/../roster-of-class.csv",
    );
    $lines = explode("\n", $out);

    expect($code)->toBe(1)->and($errors)->toBe('')
        ->and($lines[0])->toBe('site           student       points  faults  departures  advice  not met')
        ->and($lines[1])->toBe('broken.zip     -             "broken.zip" is not a zip archive.')
        ->and($lines[2])->toStartWith('ovoss_project  Orla Voss     0 of 3  0')->toEndWith('A picture')
        ->and($lines[3])->toMatch('/^wfinch\.zip +Finch, Willa +3 of 3 +[1-9]/')
        ->and($out)->toContain("Most common:\n")->toContain('1 of 3  markup/missing-alt')
        ->and($out)->not->toContain('notes.txt')->not->toContain('.git');
});

it('says the same as CSV and as JSON, however many are checked at a time', function () {
    [, $csv] = ($this->all)('--format=csv', "--roster=$this->folder/../roster-of-class.csv");
    [, $json] = ($this->all)('--format', 'json', '--workers=1');
    $rows = array_map(fn (string $line) => str_getcsv($line, ',', '"', ''), explode("\r\n", trim($csv)));
    $sites = json_decode($json, true)['sites'];

    expect($rows[0])->toBe(
        ['site', 'handle', 'name', 'awarded', 'possible', 'faults', 'departures', 'tidy', 'not met', 'problem'],
    )
        ->and(array_column(array_slice($rows, 1), 0))->toBe(['broken.zip', 'ovoss_project', 'wfinch.zip'])
        ->and($rows[1][9])->toContain('is not a zip archive')->and($rows[2][1])->toBe('OVoss')
        ->and(array_column($sites, 'site'))->toBe(['broken.zip', 'ovoss_project', 'wfinch.zip'])
        ->and($sites[2]['findings']['fault'] ?? 0)->toBe((int) $rows[3][5]);
});

it('says the same of one site as a check of it alone', function () {
    [, $one] = RunMargin::with('', 'check', "$this->folder/wfinch.zip", '--format=json');
    [, $all] = ($this->all)('--format=json');

    expect(array_sum(json_decode($all, true)['sites'][2]['findings']))->toBe(
        count(json_decode($one, true)['findings']),
    );
});

it('leaves with 2 where it is misused', function (array $arguments, string $said) {
    [$code, $out, $errors] = RunMargin::with('', 'check-all', ...$arguments);

    expect($code)->toBe(2)->and($errors)->toContain($said)->and($out)->toBe('');
})->with([
    'no folder' => [[], 'takes one folder'],
    'not there' => [['/nowhere'], 'There is no folder "/nowhere"'],
    'nothing in it' => [fn () => [dirname(__DIR__, 2).'/bin'], 'no zip and no folder'],
    'an unknown format' => [[__DIR__, '--format=xml'], 'There is no format "xml"'],
    'no number' => [[__DIR__, '--workers=many'], 'a number from 1 to 99'],
]);

it('reads handles and names in either order, with commas or semicolons', function (string $csv) {
    expect(CheckAll::roster($csv))->toEqual(['wfinch' => new RosterStudent('wfinch', 'Willa Finch')]);
})->with(["handle,name\nwfinch,Willa Finch", "Willa Finch;wfinch\r\n", 'wfinch,Willa Finch,willa@example.org']);

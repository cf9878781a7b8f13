<?php

declare(strict_types=1);

use InkedMargin\Core\Tests\Circles;
use Tests\Architecture\Modules;

// What each folder may use. Those on top come last; a folder that is used by many stands among the first.
const MAY_USE = [
    'Storage' => [],
    'Description' => [],
    'Models' => ['Storage'],
    'Tables' => [],
    'Work' => ['Models'],
    'Mail' => ['Models'],
    'Accounts' => ['Mail', 'Models'],
    'Sites' => ['Models', 'Storage'],
    'Outcomes' => ['Models'],
    'Feedback' => ['Models', 'Outcomes', 'Sites', 'Storage', 'Tables'],
    'Checks' => ['Feedback', 'Models', 'Outcomes', 'Sites', 'Storage', 'Work'],
    'Courses' => ['Models', 'Sites'],
    'Courses/Rosters' => ['Models', 'Tables'],
    'Briefs' => ['Models', 'Outcomes', 'Sites'],
    'Intake/Published' => ['Models'],
    'Intake' => ['Checks', 'Courses', 'Feedback', 'Intake/Published', 'Models', 'Sites', 'Storage', 'Work'],
    'Intake/Tries' => ['Checks', 'Intake', 'Models', 'Sites', 'Storage', 'Work'],
    'Marking' => ['Courses', 'Feedback', 'Models', 'Outcomes', 'Storage'],
    'Grades' => ['Courses/Rosters', 'Models', 'Outcomes', 'Tables'],
    'Grades/Term' => ['Grades', 'Models'],
    'Printing' => ['Storage'],
    'Replies' => ['Courses', 'Feedback', 'Mail', 'Models', 'Outcomes', 'Storage'],
    'Replies/Lessons' => ['Feedback', 'Models', 'Replies', 'Storage'],
    'Records' => ['Courses/Rosters', 'Grades', 'Models', 'Printing', 'Replies', 'Sites', 'Storage', 'Work'],
    'Search' => ['Models'],
    'Operations' => ['Checks', 'Intake', 'Models', 'Printing', 'Sites', 'Storage', 'Work'],
];

// What the folders of the API may use of each other, besides everything above.
const HTTP_MAY_USE = [
    'Http/Shared' => [],
    'Http/Accounts' => ['Http/Shared'],
    'Http/Middleware' => ['Http/Accounts'],
    'Http/Sites' => ['Http/Shared'],
    'Http/Desk' => ['Http/Middleware', 'Http/Shared', 'Http/Sites'],
    'Http/Marking' => ['Http/Middleware', 'Http/Shared'],
    'Http/Replies' => ['Http/Middleware', 'Http/Shared'],
    'Http/Students' => ['Http/Middleware', 'Http/Shared'],
];

// What starts the application, and the commands of the shell, may use all of it but the API's own folders.
const TOP = ['Console', 'Providers'];

it('has modules that use only what they may', function (string $module) {
    expect(array_values(array_diff(Modules::uses()[$module], MAY_USE[$module])))->toBe([]);
})->with(array_keys(MAY_USE));

it('has folders of the API that use each other only where they may', function () {
    $wrong = [];
    foreach (Modules::uses() as $folder => $used) {
        if (str_starts_with($folder, 'Http/')) {
            $others = array_filter($used, fn (string $name) => str_starts_with($name, 'Http/'));
            $wrong = [...$wrong, ...array_map(
                fn (string $name) => "$folder -> $name",
                array_diff($others, HTTP_MAY_USE[$folder] ?? ['Http/Shared']),
            )];
        }
    }

    expect($wrong)->toBe([]);
});

it('has commands that go past the API', function () {
    expect(preg_grep('~^Http/~', Modules::uses()['Console']))->toBe([]);
});

it('has a place for every folder', function () {
    $folders = array_filter(array_keys(Modules::uses()), fn (string $name) => ! str_starts_with($name, 'Http/'));

    expect($folders)->toEqualCanonicalizing([...array_keys(MAY_USE), ...TOP]);
});

it('has no circle among its folders', function () {
    expect(Circles::among(Modules::uses()))->toBe([]);
});

it('says in one line what each module holds', function (string $module) {
    $lines = file(dirname(__DIR__, 2)."/app/$module/README.md", FILE_IGNORE_NEW_LINES) ?: [];

    expect($lines[0] ?? '')->toBe("# $module")->and(array_filter(array_slice($lines, 1)))->toHaveCount(1);
})->with(Modules::names());

it('draws every module in CONTRIBUTING', function (string $module) {
    expect((string) file_get_contents(dirname(__DIR__, 2).'/CONTRIBUTING.md'))->toMatch("/\\b$module\\b/");
})->with(Modules::names());

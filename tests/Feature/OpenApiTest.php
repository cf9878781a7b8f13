<?php

declare(strict_types=1);

use App\Console\WriteOpenApi;
use App\Description\ApiDescription;

it('describes the API as it stands in docs', function () {
    expect(ApiDescription::json(app('router')))->toBe(file_get_contents(base_path(ApiDescription::FILE)));
});

it('names every route of the API once', function () {
    $names = array_map(fn ($route) => $route->getName(), ApiDescription::routes(app('router')));

    expect($names)->not->toContain(null)->and(array_unique($names))->toHaveCount(count($names));
});

it('gives the screens the titles that the rules have', function () {
    expect(file_get_contents(base_path(WriteOpenApi::TITLES)))->toBe(WriteOpenApi::titles());
});

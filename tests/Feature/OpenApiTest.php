<?php

declare(strict_types=1);

use App\Console\WriteOpenApi;
use Illuminate\Support\Facades\Process;

it(
    'describes the API as it stands in docs',
    fn () => expect(WriteOpenApi::describe())->toBe(file_get_contents(base_path('docs/openapi.json'))),
);

it('has the client’s types made from that description', function () {
    $made = Process::path(base_path())->run([
        'node_modules/.bin/openapi-typescript',
        'docs/openapi.json',
    ])->throw()->output();

    expect(trim($made))->toBe(trim((string) file_get_contents(base_path('resources/js/api/schema.d.ts'))));
});

it('describes every route of the API', function () {
    $described = collect(json_decode((string) file_get_contents(base_path('docs/openapi.json')), true)['paths'])
        ->flatMap(fn (array $operations, string $path) => array_map(
            fn (string $method) => strtoupper($method)." $path",
            array_keys($operations),
        ));
    $routes = collect(app('router')->getRoutes()->getRoutes())->filter(
        fn ($route) => str_starts_with($route->uri(), 'api/'),
    )
        ->map(fn ($route) => $route->methods()[0].' /'.$route->uri());

    expect($routes->diff($described)->all())->toBe([])->and($described->diff($routes)->all())->toBe([]);
});

it('gives the screens the titles that the rules have', function () {
    expect(file_get_contents(base_path(WriteOpenApi::TITLES)))->toBe(WriteOpenApi::titles());
});

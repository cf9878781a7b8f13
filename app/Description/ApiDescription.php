<?php

declare(strict_types=1);

namespace App\Description;

use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use stdClass;

/** The JSON API as OpenAPI 3.1 describes it. */
final readonly class ApiDescription
{
    public const FILE = 'docs/openapi.json';

    /** @return array<string, mixed> */
    public static function of(Router $router): array
    {
        $schemas = new Schemas;
        $operations = new Operations($schemas, new RuleSchema);
        $paths = [];
        foreach (self::routes($router) as $route) {
            $paths['/'.$route->uri()][strtolower($route->methods()[0])] = $operations->of($route);
        }
        $problem = $schemas->put('Problem', [
            'type' => 'object',
            'properties' => [
                'message' => ['type' => 'string'],
                'errors' => [
                    'type' => 'object',
                    'description' => 'what is wrong with each field that was sent',
                    'additionalProperties' => ['type' => 'array', 'items' => ['type' => 'string']],
                ],
            ],
            'required' => ['message'],
        ]);

        return [
            'openapi' => '3.1.0',
            'info' => ['title' => 'Inked Margin', 'version' => '1'],
            'paths' => $paths,
            'components' => [
                'schemas' => $schemas->all(),
                'responses' => ['Problem' => [
                    'description' => 'What went wrong, in words',
                    'content' => ['application/json' => ['schema' => $problem]],
                ]],
            ],
        ];
    }

    /** As it is kept in `docs`. */
    public static function json(Router $router): string
    {
        return json_encode(
            self::withObjects(self::of($router)),
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        )."\n";
    }

    /**
     * A schema that says nothing is an object in JSON, not a list.
     *
     * @param  array<mixed>  $described
     * @return array<mixed>
     */
    private static function withObjects(array $described): array
    {
        foreach ($described as $key => $value) {
            if (is_array($value)) {
                $isSchema = in_array($key, ['schema', 'items', 'properties', 'additionalProperties'], true);
                $described[$key] = $value === [] && $isSchema ? new stdClass : self::withObjects($value);
            }
        }

        return $described;
    }

    /** @return list<Route> those of the API */
    public static function routes(Router $router): array
    {
        $routes = $router->getRoutes()->getRoutes();

        return array_values(array_filter($routes, fn (Route $route) => str_starts_with($route->uri(), 'api/')));
    }
}

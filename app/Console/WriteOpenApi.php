<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Rule;
use OpenApi\Analysis;
use OpenApi\Annotations as OA;
use OpenApi\Generator;

/** Describes the JSON API from the attributes on its controllers and resources. */
final class WriteOpenApi extends Command
{
    public const TITLES = 'resources/js/api/rule-titles.json';

    protected $signature = 'openapi {--stdout : print it instead of writing docs/openapi.json}';

    protected $description = 'Write docs/openapi.json, which the client’s types are made from, and the rules’ titles';

    public function handle(): int
    {
        $json = self::describe();
        if ($this->option('stdout')) {
            $this->output->write($json);
        } else {
            file_put_contents(base_path('docs/openapi.json'), $json);
            file_put_contents(base_path(self::TITLES), self::titles());
        }

        return self::SUCCESS;
    }

    public static function describe(): string
    {
        $generator = (new Generator)->setVersion(OA\OpenApi::VERSION_3_1_0);
        $generator->addProcessor(self::requireAll(...))->addProcessor(self::addPathParameters(...));

        return $generator->generate([app_path()], validate: true)?->toJson()."\n";
    }

    /** What people call the rules, by id: the screens know it without asking. */
    public static function titles(): string
    {
        $titles = array_column(array_map(fn (Rule $rule) => $rule->facts, Catalogue::rules()), 'title', 'id');

        return json_encode($titles, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n";
    }

    /** Resources are sent whole: what may be missing is null, never left out. */
    private static function requireAll(Analysis $analysis): void
    {
        foreach ($analysis->openapi->components->schemas ?? [] as $schema) {
            if (is_array($schema->properties) && $schema->required === Generator::UNDEFINED) {
                $schema->required = array_map(
                    fn (OA\Property $property) => (string) $property->property,
                    $schema->properties,
                );
            }
        }
    }

    private static function addPathParameters(Analysis $analysis): void
    {
        /** @var list<OA\Operation> $operations */
        $operations = $analysis->getAnnotationsOfType(OA\Operation::class);
        foreach ($operations as $operation) {
            preg_match_all('/\{(\w+)\}/', (string) $operation->path, $names);
            $parameters = array_map(fn (string $name) => new OA\Parameter([
                'name' => $name, 'in' => 'path', 'required' => true, 'schema' => new OA\Schema(['type' => 'string']),
            ]), $names[1]);
            $operation->parameters = [
                ...$parameters,
                ...(is_array($operation->parameters) ? $operation->parameters : []),
            ];
        }
    }
}

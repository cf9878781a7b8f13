<?php

declare(strict_types=1);

namespace App\Console;

use App\Description\ApiDescription;
use Illuminate\Console\Command;
use Illuminate\Routing\Router;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Rule;

/** Describes the JSON API from its routes and types. */
final class WriteOpenApi extends Command
{
    public const TITLES = 'resources/js/lib/rule-titles.json';

    protected $signature = 'openapi {--stdout : print it instead of writing docs/openapi.json}';

    protected $description = 'Write docs/openapi.json, which the client’s types are made from, and the rules’ titles';

    public function handle(Router $router): int
    {
        $json = ApiDescription::json($router);
        if ($this->option('stdout')) {
            $this->output->write($json);
        } else {
            file_put_contents(base_path(ApiDescription::FILE), $json);
            file_put_contents(base_path(self::TITLES), self::titles());
        }

        return self::SUCCESS;
    }

    /** What people call the rules, by id: the screens know it without asking. */
    public static function titles(): string
    {
        $titles = array_column(array_map(fn (Rule $rule) => $rule->facts, Catalogue::rules()), 'title', 'id');

        return json_encode($titles, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n";
    }
}

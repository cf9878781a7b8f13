<?php

declare(strict_types=1);

use App\Description\ApiDescription;
use App\Description\DocTypes;
use App\Description\Operations;
use App\Description\RuleSchema;
use App\Description\Schemas;
use App\Http\Shared\Controller;
use App\Models\RunState;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Routing\Route;
use Illuminate\Validation\Rule;

/**
 * A value with what types there are.
 *
 * @phpstan-type Row array{line: int, name?: string}
 */
final readonly class DescribedValue
{
    /**
     * @param  list<string>  $names  in their order
     * @param  array<string, float>  $byName
     * @param  'one'|'two'|null  $choice
     * @param  value-of<RunState>  $state
     * @param  list<Row>  $rows
     */
    public function __construct(
        /** how many there are */
        public int $count,
        public ?bool $isKnown,
        public array $names,
        public array $byName,
        public ?string $choice,
        public string $state,
        public RunState $enum,
        public ?self $inside,
        public array $rows,
        public mixed $any,
        private int $hidden = 0,
    ) {
    }
}

final class DescribedRequest extends FormRequest
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'points' => ['present', 'nullable', 'numeric'],
            'kind' => ['nullable', 'in:one,two'],
            'state' => ['required', Rule::enum(RunState::class)->only([RunState::Queued, RunState::Running])],
            'work' => ['array'],
            'work.*.id' => ['required', 'uuid'],
            'work.*.best' => ['nullable', 'integer'],
        ];
    }
}

final class DescribedFile extends FormRequest
{
    public function rules(): array
    {
        return ['files' => ['required', 'array'], 'files.*' => ['file'], 'packed' => ['boolean']];
    }
}

final class DescribedController extends Controller
{
    /** What it says. */
    public function value(): DescribedValue
    {
        throw new LogicException;
    }

    public function take(DescribedRequest $request): void
    {
    }

    public function upload(DescribedFile $request): void
    {
    }

    public function unsaid(): Symfony\Component\HttpFoundation\Response
    {
        throw new LogicException;
    }
}

function operation(string $method, string $verb = 'GET'): array
{
    $route = (new Route([$verb], 'api/x/{course}', [DescribedController::class, $method]))->name($method);

    return (new Operations(new Schemas, new RuleSchema))->of($route);
}

function propertyOf(string $name): array
{
    $schemas = new Schemas;
    $schemas->ofClass(DescribedValue::class);

    return $schemas->all()['DescribedValue']['properties'][$name];
}

it('describes a property by its type', function (string $name, array $schema) {
    expect(propertyOf($name))->toBe($schema);
})->with([
    'with words above it' => ['count', ['type' => 'integer', 'description' => 'how many there are']],
    'that may be null' => ['isKnown', ['type' => ['boolean', 'null']]],
    'a list, with words beside it' => [
        'names', ['type' => 'array', 'items' => ['type' => 'string'], 'description' => 'in their order'],
    ],
    'by name' => ['byName', ['type' => 'object', 'additionalProperties' => ['type' => 'number']]],
    'a choice that may be null' => ['choice', ['type' => ['string', 'null'], 'enum' => ['one', 'two', null]]],
    'the values of an enum' => ['state', ['type' => 'string', 'enum' => array_column(RunState::cases(), 'value')]],
    'an enum' => ['enum', ['type' => 'string', 'enum' => array_column(RunState::cases(), 'value')]],
    'another value' => [
        'inside', ['oneOf' => [['$ref' => '#/components/schemas/DescribedValue'], ['type' => 'null']]],
    ],
    'rows of a named shape' => ['rows', ['type' => 'array', 'items' => ['$ref' => '#/components/schemas/Row']]],
    'anything' => ['any', []],
]);

it('requires all properties but those that a shape leaves open, and hides what is private', function () {
    $schemas = new Schemas;
    $schemas->ofClass(DescribedValue::class);

    expect($schemas->all()['Row']['required'])->toBe(['line'])
        ->and($schemas->all()['DescribedValue']['required'])->toContain('any')->not->toContain('hidden');
});

it('refuses two classes of one name', function () {
    $schemas = new Schemas;
    $schemas->put('Row', ['type' => 'string']);
    $schemas->put('Row', ['type' => 'integer']);
})->throws(RuntimeException::class, 'called Row');

it('describes a body by its rules', function () {
    $schemas = new Schemas;
    $route = (new Route(['POST'], 'api/x', [DescribedController::class, 'take']))->name('take');
    (new Operations($schemas, new RuleSchema))->of($route);

    expect($schemas->all()['DescribedRequest'])->toBe([
        'type' => 'object',
        'properties' => [
            'name' => ['type' => 'string'],
            'points' => ['type' => ['number', 'null']],
            'kind' => ['type' => ['string', 'null'], 'enum' => ['one', 'two', null]],
            'state' => ['type' => 'string', 'enum' => ['queued', 'running']],
            'work' => ['type' => 'array', 'items' => [
                'type' => 'object',
                'properties' => ['id' => ['type' => 'string'], 'best' => ['type' => ['integer', 'null']]],
                'required' => ['id'],
            ]],
        ],
        'required' => ['name', 'points', 'state'],
    ]);
});

it('describes files as a form, with brackets behind the names of lists', function () {
    $content = operation('upload', 'POST')['requestBody']['content'];

    expect(array_keys($content))->toBe(['multipart/form-data'])
        ->and(array_keys($content['multipart/form-data']['schema']['properties']))->toBe(['files[]', 'packed']);
});

it('describes what a GET asks for as its query', function () {
    $query = array_filter(operation('take')['parameters'], fn (array $one) => $one['in'] === 'query');

    expect(array_column($query, 'name'))->toBe(['name', 'points', 'kind', 'state', 'work[]']);
});

it('describes what stands in the address', function () {
    expect(operation('value')['parameters'][0])->toBe(
        ['name' => 'course', 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string']],
    );
});

it('says in words what the controller says', fn () => expect(operation('value')['summary'])->toBe('What it says.'));

it('answers with 204 where a controller returns nothing', function () {
    expect(array_map(strval(...), array_keys(operation('take', 'POST')['responses'])))->toBe(['204', 'default']);
});

it('refuses a controller that does not say what it answers', fn () => operation('unsaid'))
    ->throws(RuntimeException::class, 'DescribedController::unsaid');

it('takes null from a type that may be null', function () {
    expect(DocTypes::notNull(['type' => ['string', 'null'], 'enum' => ['a', null]]))
        ->toBe(['type' => 'string', 'enum' => ['a']]);
});

it('names its own version of OpenAPI', fn () => expect(ApiDescription::of(app('router'))['openapi'])->toBe('3.1.0'));

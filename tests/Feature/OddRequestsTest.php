<?php

declare(strict_types=1);

use App\Courses\PrivateLink;
use App\Models\Arrival;
use App\Models\HandIn;
use App\Models\Invitation;
use App\Models\StockRemark;
use App\Models\Upload;
use App\Models\User;
use App\Work\WorkProcess;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

// A new route is in the API's description, and so in here, by itself.

/** Values of every wrong type; the name of each is what a failure shows. */
function oddValues(): array
{
    return [
        'null' => null, 'true' => true, 'a number' => -1, 'a fraction' => 1.5, 'too large' => PHP_INT_MAX, 'huge' => 1e300,
        'nothing' => '', 'a text' => 'x', 'a long text' => str_repeat('x', 70_000), 'no number' => 'NaN',
        'not UTF-8' => "\xff", 'signs' => "'\"\\;--%_", 'a list' => ['x'], 'no list' => [], 'an object' => ['a' => ['b' => 'c']],
        'lists in lists' => [[['x']]],
    ];
}

/** @return array<string, mixed> */
function apiDescription(): array
{
    return json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json'), true, flags: JSON_THROW_ON_ERROR);
}

/** @return list<string> the names of what a body has, those in its parts as `parts.0.name` */
function fieldsOf(array $schema, array $all, string $before = '', int $depth = 0): array
{
    $schema = isset($schema['$ref']) ? $all[basename((string) $schema['$ref'])] : $schema;
    $fields = [];
    foreach ($depth > 3 ? [] : $schema['properties'] ?? [] as $name => $property) {
        $fields[] = "$before$name";
        $inner = isset($property['$ref']) ? $all[basename((string) $property['$ref'])] : $property;
        $items = $inner['items'] ?? null;
        array_push(
            $fields,
            ...fieldsOf($inner, $all, "$before$name.", $depth + 1),
            ...($items === null ? [] : fieldsOf($items, $all, "$before$name.0.", $depth + 1)),
        );
    }

    return $fields;
}

/** @return array<string, string> what stands for each part of an address */
function placesOf(HandIn $handIn): array
{
    $user = User::query()->firstOrFail();
    $course = $handIn->assignment->course;

    return [
        '{course}' => $course->id,
        '{token}' => basename(PrivateLink::of($handIn->student)),
        '{assignment}' => $handIn->assignment_id,
        '{work}' => $handIn->assignment_id,
        '{handIn}' => $handIn->id,
        '{note}' => $handIn->remarks()->create(['user_id' => $user->id, 'body' => 'A note', 'kind' => 'note'])->id,
        '{finding}' => (string) $handIn->run?->findings[0]->fingerprint,
        '{fingerprint}' => (string) $handIn->run?->findings[0]->fingerprint,
        '{student}' => $handIn->student_id,
        '{person}' => (string) $user->id,
        '{arrival}' => (string) Arrival::query()->value('id'),
        '{role}' => 'starter', '{form}' => 'csv', '{ending}' => 'csv', '{number}' => '0', '{site}' => 'starter',
        '{path}' => 'index.html', '{requirement}' => 'files', '{rule}' => 'link/missing-file',
        '{invitation}' => Invitation::query()->create([
            'course_id' => $course->id, 'email' => 'i@example.org', 'role' => 'marker',
            'token_sha256' => str_repeat('a', 64), 'expires_at' => now()->addDay(),
        ])->id,
        '{stockRemark}' => StockRemark::query()->create(['course_id' => $course->id, 'body' => 'x'])->id,
        '{upload}' => Upload::query()->create(['assignment_id' => $handIn->assignment_id, 'name' => 'x', 'bytes' => 1])->id,
        '{extension}' => $handIn->assignment->extensions()->create([
            'student_id' => $handIn->student_id, 'waived' => true, 'reason' => 'x', 'user_id' => $user->id,
        ])->id,
        '{drop}' => '00000000-0000-7000-8000-000000000000', '{batch}' => '00000000-0000-7000-8000-000000000000',
    ];
}

/**
 * @param  array<string, string>  $places
 * @return iterable<string, array{string, array<mixed>}> an address and a body, by what is odd about them
 */
function oddRequests(string $path, array $operation, array $all, array $places): iterable
{
    yield 'no body' => [strtr($path, $places), []];
    preg_match_all('/\{\w+\}/', $path, $parts);
    foreach ($parts[0] as $part) {
        foreach (['%00', '%FF', 'x', '0', '-1', '99999999999999999999', '00000000-0000-7000-8000-00000000000x', '%27', '..%2F..'] as $odd) {
            yield "$part as $odd" => [strtr($path, [$part => $odd] + $places), []];
        }
    }
    $address = strtr($path, $places);
    $query = array_filter($operation['parameters'] ?? [], fn (array $one) => ($one['in'] ?? '') === 'query');
    foreach (array_column($query, 'name') as $name) {
        foreach (['' => '', '[]' => 'x', '[a][b]' => 'x', ' ' => '%00', '=' => 'x'] as $behind => $value) {
            $field = $name.trim((string) $behind, ' =');
            yield "?$field=$value" => ["$address?$field=".($behind === '=' ? str_repeat('x', 9_000) : $value), []];
        }
    }
    $content = $operation['requestBody']['content'] ?? [];
    $schema = ($content['application/json'] ?? $content['multipart/form-data'] ?? [])['schema'] ?? [];
    $fields = fieldsOf($schema, $all);
    foreach ($fields === [] ? [] : oddValues() as $kind => $value) {
        yield "all as $kind" => [$address, array_fill_keys(array_filter($fields, fn (string $one) => ! str_contains($one, '.')), $value)];
        foreach ($fields as $field) {
            $body = [];
            data_set($body, $field, $value);
            yield "$field as $kind" => [$address, $body];
        }
    }
}

it('answers what is odd with anything but an error of its own', function (string $path, string $method) {
    $this->withoutMiddleware(ThrottleRequests::class);
    $user = $this->instructor();
    $handIn = $this->handIn($this->assignment($user));
    $places = placesOf($handIn);
    $description = apiDescription();
    $wrong = [];
    foreach (oddRequests($path, $description['paths'][$path][$method], $description['components']['schemas'], $places) as $what => [$address, $body]) {
        $this->actingAs($user);
        DB::beginTransaction();
        $response = $this->json($method, $address, $body);
        DB::rollBack();
        if ($response->status() >= 500) {
            $wrong[$what] = $response->status().' '.mb_substr((string) ($response->exception?->getMessage()), 0, 160);
        }
    }

    expect($wrong)->toBe([]);
})->with(function () {
    foreach (apiDescription()['paths'] as $path => $operations) {
        foreach (array_keys($operations) as $method) {
            yield "$method $path" => [$path, $method];
        }
    }
});

afterAll(fn () => WorkProcess::stop());

it('says so when the same was done at the same moment', function () {
    Route::get('/api/twice', fn () => throw new UniqueConstraintViolationException('pgsql', '', [], new PDOException));

    $this->getJson('/api/twice')->assertConflict()->assertSee('The same was being done at this moment');
});

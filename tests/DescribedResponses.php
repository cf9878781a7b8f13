<?php

declare(strict_types=1);

namespace Tests;

use App\Description\ApiDescription;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use stdClass;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Answers of the API held against its description, by a library that knows JSON Schema. */
final class DescribedResponses
{
    private const ID = 'https://inked-margin.invalid/openapi.json';

    private static ?stdClass $api = null;

    private static ?Validator $validator = null;

    /** @var array<string, stdClass> operations by name */
    private static array $operations = [];

    /** What differs, in words; null where nothing does. */
    public static function problem(string $name, Response $response): ?string
    {
        self::read();
        $isJson = str_starts_with((string) $response->headers->get('Content-Type'), 'application/json');
        if (! $response->isSuccessful() && ! $isJson) {
            // To browsers, which ask for no JSON, pages tell what went wrong.
            return null;
        }
        $operation = self::$operations[$name] ?? null;
        if ($operation === null) {
            return 'it is not described';
        }
        $status = (string) $response->getStatusCode();
        $described = $operation->responses->{$status} ?? null;
        if ($described === null && $response->isSuccessful()) {
            return "$status is not among its answers";
        }
        $described ??= self::$api?->components->responses->Problem;
        $content = $described->content ?? null;
        $schema = $content->{'application/json'}->schema ?? null;
        $isWhole = ! $response instanceof StreamedResponse && ! $response instanceof BinaryFileResponse;
        if ($content === null) {
            return $isWhole && ! in_array($response->getContent(), ['', '{}'], true) ? 'it has a body' : null;
        }
        if ($response->isSuccessful() && isset($content->{'application/json'}) && ! $isJson) {
            return 'it is no JSON';
        }

        if ($schema === null || ! $isJson || ! $isWhole) {
            return null;
        }
        $wrong = self::mismatch($schema, (string) $response->getContent());
        $plain = self::$api?->components->responses->Problem->content->{'application/json'}->schema;

        // An error may always be told in words alone.
        return $wrong !== null && ! $response->isSuccessful()
            ? self::mismatch($plain, (string) $response->getContent())
            : $wrong;
    }

    private static function mismatch(stdClass $schema, string $body): ?string
    {
        $data = json_decode($body);
        if (json_last_error() !== JSON_ERROR_NONE) {
            return 'it is no JSON';
        }
        $error = self::$validator?->validate($data, $schema)->error();

        return $error === null ? null : json_encode((new ErrorFormatter)->format($error), JSON_UNESCAPED_SLASHES);
    }

    private static function read(): void
    {
        if (self::$api !== null) {
            return;
        }
        self::$api = json_decode((string) file_get_contents(base_path(ApiDescription::FILE)), flags: JSON_THROW_ON_ERROR);
        foreach (self::$api->components->schemas as $schema) {
            self::close($schema);
        }
        foreach ((array) self::$api->paths as $operations) {
            foreach ((array) $operations as $operation) {
                self::resolve($operation);
                self::$operations[$operation->operationId] = $operation;
            }
        }
        self::resolve(self::$api->components);
        self::$validator = new Validator;
        foreach ((array) self::$api->components->schemas as $name => $schema) {
            self::$validator->resolver()?->registerRaw($schema, self::ID."/$name");
        }
    }

    /** Nothing is sent that is not described. */
    private static function close(mixed $schema): void
    {
        if ($schema instanceof stdClass && isset($schema->properties) && ! isset($schema->additionalProperties)) {
            $schema->additionalProperties = false;
        }
        foreach (is_object($schema) || is_array($schema) ? (array) $schema : [] as $part) {
            self::close($part);
        }
    }

    /** References as the validator knows the schemas. */
    private static function resolve(mixed $part): void
    {
        if ($part instanceof stdClass && isset($part->{'$ref'})) {
            $part->{'$ref'} = str_replace('#/components/schemas', self::ID, $part->{'$ref'});
        }
        foreach (is_object($part) || is_array($part) ? (array) $part : [] as $inner) {
            self::resolve($inner);
        }
    }
}

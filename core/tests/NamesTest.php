<?php

declare(strict_types=1);

use InkedMargin\Core\Example\Example;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Rule;

dataset('rules', fn () => array_combine(
    array_map(fn (Rule $rule) => $rule->id, Catalogue::rules()),
    array_map(fn (Rule $rule) => [$rule], Catalogue::rules()),
));

it('names the class of a rule after its id, in the folder of its group', function (Rule $rule) {
    [$group, $name] = explode('/', $rule->id);
    $class = str_replace('-', '', ucwords($name, '-'));
    // PHP keeps "Empty" for itself.
    $class = $class === 'Empty' ? 'Empty'.($group === 'file' ? 'File' : 'Link') : $class;

    expect($rule::class)->toBe('InkedMargin\Core\Rules\\'.ucfirst($group)."\\$class");
})->with('rules');

it('has each id once, and a list with every rule there is', function () {
    $ids = array_map(fn (Rule $rule) => $rule->id, Catalogue::rules());
    $files = glob(__DIR__.'/../src/Rules/*/*.php') ?: [];
    $abstract = array_filter(
        $files,
        fn (string $file) => str_contains((string) file_get_contents($file), 'abstract readonly class'),
    );

    expect(array_unique($ids))->toBe($ids)->and(count($files) - count($abstract))->toBe(count($ids));
});

it('has a summary, a source in its docblock, and an example for each variant', function (Rule $rule) {
    $examples = $rule->examples();
    $doc = (string) preg_replace('/\s+\*\s+/', ' ', (string) (new ReflectionClass($rule))->getDocComment());
    $hasSource = preg_match('/Standard|Common practice|WCAG|RFC|CSS|WAI-ARIA/', $doc) === 1;

    expect($rule->summary)->toEndWith('.')->and($examples)->not->toBe([])
        ->and($hasSource || $rule->speaksFor() !== [])->toBeTrue($doc)
        ->and(array_map(fn (Example $one) => $one->badSite()->files(), $examples))->not->toContain([]);
})->with('rules');

it('is superseded only by rules that there are, and never by itself', function (Rule $rule) {
    $known = array_filter($rule->supersededBy(), fn (string $id) => Catalogue::rule($id) !== null);

    expect($rule->supersededBy())->toBe($known)->not->toContain($rule->id);
})->with('rules');

it('says everything in the words of today', function (Rule $rule) {
    $words = (string) file_get_contents((string) (new ReflectionClass($rule))->getFileName());
    preg_match_all('/([\'"])((?:(?!\1).)*[a-z] [a-z](?:(?!\1).)*)\1/', $words, $strings);
    $stiff = array_filter(
        $strings[2],
        fn (string $one) => preg_match(
            '/\b(?:amiss|is told|stands (?:here|in|before)|reverse solid|that is none|whoever|take it out|so many of)\b/i',
            $one,
        ) === 1,
    );

    expect($stiff)->toBe([]);
})->with('rules');

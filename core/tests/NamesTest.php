<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Kinds;
use InkedMargin\Core\Example\Example;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\RequirementRule;
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

    expect($rule::class)->toBe(
        $group === 'brief' ? RequirementRule::class : 'InkedMargin\Core\Rules\\'.ucfirst($group)."\\$class",
    );
})->with('rules');

it('has each id and each title once, and a list with every rule there is', function () {
    $ids = array_map(fn (Rule $rule) => $rule->id, Catalogue::rules());
    $titles = array_map(fn (Rule $rule) => $rule->title, Catalogue::rules());
    $files = glob(__DIR__.'/../src/Rules/*/*.php') ?: [];
    $abstract = array_filter(
        $files,
        fn (string $file) => str_contains((string) file_get_contents($file), 'abstract readonly class'),
    );

    expect(array_unique($ids))->toBe($ids)->and(array_unique($titles))->toBe($titles)
        ->and(count($files) - count($abstract) + count(Kinds::speakingForThemselves()))->toBe(count($ids));
});

it('has a title of two to five words that says what is wrong', function (Rule $rule) {
    expect(str_word_count($rule->title, 0, '.:/'))->toBeGreaterThan(1)->toBeLessThan(6)
        ->and($rule->title)->toMatch('/^[A-Z][^.]*[^. ](?:\.\w+)?$/')->not->toMatch('/[`“”]/');
})->with('rules');

it('says why in one or two sentences, and not what the summary says', function (Rule $rule) {
    $why = $rule->facts->why;

    expect($why)->toEndWith('.')->not->toContain($rule->facts->summary)
        ->and(preg_match_all('/[.!?](?=\s+\S|$)/u', $why))->toBeLessThan(4)
        ->and(str_word_count($why))->toBeGreaterThan(9)->toBeLessThan(46);
})->with('rules');

it('comes from a section of a standard, from the brief, or from common practice', function (Rule $rule) {
    $source = $rule->facts->source;
    $hosts = [
        'html.spec.whatwg.org', 'www.w3.org', 'url.spec.whatwg.org', 'mimesniff.spec.whatwg.org', 'www.rfc-editor.org',
    ];

    expect($source->url === null)->toBe(in_array($source->text, ['Common practice', 'The brief'], true))
        ->and($source->url === null || in_array(parse_url($source->url, PHP_URL_HOST), $hosts, true))->toBeTrue();
})->with('rules');

it('has a summary, and an example for each variant', function (Rule $rule) {
    $examples = $rule->examples();

    expect($rule->facts->summary)->toEndWith('.')->and($examples)->not->toBe([])
        ->and(array_map(fn (Example $one) => $one->badSite()->files(), $examples))->not->toContain([]);
})->with('rules');

it('is superseded only by rules that there are, and never by itself', function (Rule $rule) {
    $by = $rule->facts->supersededBy;
    $known = array_filter($by, fn (string $id) => Catalogue::rule($id) !== null);

    expect($by)->toBe($known)->not->toContain($rule->id);
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

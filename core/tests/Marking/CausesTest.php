<?php

declare(strict_types=1);

use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\Causes;
use InkedMargin\Core\Marking\Fold;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\Patch;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/**
 * @param  list<string>  $subjects
 * @param  list<string>  $causes
 */
function foundBy(
    string $rule,
    array $subjects = [],
    array $causes = [],
    string $fold = '',
    int $at = 0,
    ?string $requirement = null,
    ?Mend $mend = null,
): Finding {
    static $file = new SourceFile('a.html', '0123456789');

    $draft = Draft::in('a.html', $file, new Span($at, $at + 1), "anchor $at")
        ->says("$rule.")->remedy('Do.')->mend($mend)->about(...$subjects)->causedBy(...$causes)->folded($fold);

    return new Finding($rule, Weight::Fault, ProofMark::Change, $draft, $requirement);
}

it('drops a finding that another rule explains, and keeps the explanation', function () {
    $cause = foundBy('markup/unclosed-element', ['element:header']);
    $effect = foundBy('markup/content-model', ['element:main'], ['element:header']);
    $other = foundBy('markup/content-model', ['element:aside']);

    expect(Causes::among([$effect, $cause, $other])->kept())->toBe([$cause, $other]);
});

it('drops nothing for a rule that is not declared to explain it', function () {
    $findings = [foundBy('markup/indentation', ['element:a']), foundBy('markup/unclosed-element', ['element:a'])];

    expect(Causes::among([$findings[1], foundBy('link/empty', ['element:a'])])->kept())->toHaveCount(2);
});

it('follows a chain of causes to its end, for what shows that a requirement is not met', function () {
    $first = foundBy('file/name', ['file:Boats.html']);
    $second = foundBy('file/missing', ['file:boats.html'], ['file:Boats.html'], requirement: 'pages');
    $third = foundBy('brief/link', [], ['file:boats.html'], requirement: 'link');
    $causes = Causes::among([$third, $second, $first]);

    expect($causes->kept())->toBe([$first])
        ->and($causes->rootOf($second))->toBe($first)
        ->and($causes->rootOf($third))->toBe($first)
        ->and($causes->rootOf(foundBy('link/empty')))->toBeNull();
});

it('keeps one of two findings that explain each other', function () {
    foreach (Catalogue::rules() as $rule) {
        foreach ($rule->facts->supersededBy as $id) {
            expect(Causes::among([foundBy($rule->id, ['x']), foundBy($id, ['x'])])->kept())->not->toBe([]);
        }
    }
});

it('tells repeats of one slip on a page as one, with the other places and all their edits', function () {
    $file = new SourceFile('a.html', '0123456789');
    $edit = fn (int $at) => Mend::of(new Edit($file, new Span($at, $at + 1), 'x'));
    $fold = Fold::of([
        foundBy('markup/tag-case', ['b'], [], 'case', 5, null, $edit(5)),
        foundBy('markup/tag-case', ['a'], [], 'case', 2, null, $edit(2)),
        foundBy('markup/tag-case', [], [], 'other', 7),
    ]);
    [$first, $second] = $fold->findings;

    expect($fold->findings)->toHaveCount(2)
        ->and($first->span->start)->toBe(2)
        ->and($first->message)->toBe('markup/tag-case. There is 1 more like it on this page.')
        ->and($first->related)->toHaveCount(1)
        ->and($first->mend?->edits)->toHaveCount(2)
        ->and($first->mend?->applyTo(['a.html' => '0123456789']))->toBe(['a.html' => '01x34x6789'])
        ->and($second->message)->toBe('markup/tag-case.');
});

it('gives no more than a hundred findings of a rule on a page, and says how many more there are', function () {
    $findings = array_map(fn (int $at) => foundBy('markup/missing-alt', ["element:$at"], at: $at % 9), range(1, 250));
    $fold = Fold::of($findings);

    expect($fold->findings)->toHaveCount(100)
        ->and($fold->findings[99]->message)->toBe(
            'markup/missing-alt. There are 150 more findings of this kind on this page.',
        )
        ->and($fold->findings)->toContain($fold->shownAs($findings[249]));
});

it('leaves a hundred findings as they are, and the first ninety-nine of more', function () {
    $findings = array_map(fn (int $at) => foundBy('markup/missing-alt', ["element:$at"], at: $at % 9), range(1, 101));
    $hundred = Fold::of(array_slice($findings, 0, 100));
    $more = Fold::of($findings);
    $places = array_map(fn ($one) => $one->span->start, $more->findings);
    $sorted = $places;
    sort($sorted);

    expect(implode(' ', array_map(fn ($one) => $one->message, $hundred->findings)))->not->toContain('more findings')
        ->and($more->findings[98]->message)->toBe('markup/missing-alt.')
        ->and($more->findings[99]->message)
        ->toBe('markup/missing-alt. There is 1 more finding of this kind on this page.')
        ->and($places)->toBe($sorted)
        ->and(array_filter($findings, fn ($one) => $more->shownAs($one) === $more->findings[99]))->toHaveCount(2);
});

it('knows where each byte was before a change', function (array $changes, string $after, string $of, string $before) {
    $file = Patch::apply(new SourceFile('a', '0123456789'), $changes);
    $start = (int) strpos($file->bytes, $of);

    expect($file->bytes)->toBe($after)->and($file->excerpt(new Span($start, $start + strlen($of))))->toBe($before);
})->with([
    'before it' => [[Change::insert(5, 'abc')], '01234abc56789', '234', '234'],
    'behind it' => [[Change::insert(5, 'abc')], '01234abc56789', '67', '67'],
    'around it' => [[Change::insert(5, 'abc')], '01234abc56789', '4abc5', '45'],
    'what was put in was nowhere' => [[Change::insert(5, 'abc')], '01234abc56789', 'b', ''],
    'what was taken out' => [[Change::remove(new Span(2, 5))], '0156789', '156', '123456'],
    'what was replaced' => [[Change::replace(new Span(2, 5), 'X')], '01X56789', '56', '56'],
    'what was moved' => [[Change::remove(new Span(2, 4)), Change::moveTo(8, new Span(2, 4))], '0145672389', '23', '23'],
    'two changes' => [[Change::insert(1, 'a'), Change::insert(9, 'b')], '0a12345678b9', '8b9', '89'],
]);

<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Style\Cascade\RuleIndex;
use InkedMargin\Core\Style\Cascade\RuleReader;
use InkedMargin\Core\Style\Selector\Matching;
use InkedMargin\Core\Style\Syntax\Parser;
use InkedMargin\Core\Tests\Fuzz\Inventor;
use InkedMargin\Core\Tests\Seed;

// What is worked out once for elements that stand alike is what each selector says of each element by itself.

/** @return string rules with selectors of all kinds, of names that pages of these tests have */
function inventedRules(Seed $seed): string
{
    $simple = [
        'p', 'li', 'a', 'div', 'td', '*', '.here', '.a', '#top', '[href]', '[href^="h"]', '[class~=a]', ':first-child',
        ':not(.a)',
        ':is(p, .here)', ':has(a)', ':nth-child(2n)', ':empty', ':link', ':hover', ':root', 'body', 'nav',
        ':not(:first-child)', '[title=x i]',
    ];
    $css = '';
    for ($rule = $seed->number(3, 12); $rule > 0; $rule--) {
        $parts = array_map(fn () => $seed->oneOf($simple), range(1, $seed->number(1, 3)));
        $css .= implode($seed->oneOf([' ', ' > ', ' + ', ' ~ ']), $parts)." { color: red }\n";
    }

    return $css;
}

it('matches what the selectors match one by one', function () {
    $seed = Seed::fresh();
    $compared = $decided = 0;
    for ($trial = 0; $trial < 60; $trial++) {
        $rules = RuleReader::read(Parser::sheet(inventedRules($seed)), 'a.css');
        $index = (new RuleIndex(array_slice($rules, 0, 2)))->with(array_slice($rules, 2));
        // Several pages with one index, as the pages of a site have.
        foreach ([1, 2] as $page) {
            $markup = "<!DOCTYPE html><body id=\"top\">\n".(new Inventor($seed->number(1, 99_999_999)))->page()
                .'<ul class="a"><li class="here"><a href="http:x" title="X">1</a></li><li><p></p></li></ul><div><p>2</p><p class="a">3</p></div>';
            $document = MarkupReader::read(new SourceFile('a.html', $markup));
            $matching = new Matching($document);
            $standings = [];
            foreach ($document->elements() as $element) {
                $around = $element->parent === null ? 0 : $standings[spl_object_id($element->parent)];
                [
                    $standings[spl_object_id($element)],
                    $matched,
                    $isOfStanding,
                ] = $index->matching($element, $around, $matching);
                $found = array_map(fn (array $entry) => "$entry[0] {$entry[2]->written}", $matched);
                $wanted = [];
                foreach ($rules as $order => $rule) {
                    foreach ($rule->selector->alternatives ?? [] as $selector) {
                        if ($selector->matches($element, new Matching($document))) {
                            $wanted[] = "$order $selector->written";
                        }
                    }
                }
                sort($found);
                sort($wanted);
                expect($found)->toBe($wanted, "seed $seed->value, trial $trial, page $page, {$element->path()}");
                $compared += count($wanted);
                $decided += $isOfStanding ? 1 : 0;
            }
        }
    }
    expect(min($compared, $decided))->toBeGreaterThan(500);
});

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Syntax\Declaration;

/**
 * States of links in an order in which one always wins over another: of rules that are as specific, the later counts
 * (CSS Cascade 5, 6.4.4), and a link that is hovered over is still one that was visited or not.
 */
final readonly class LinkStateOrder extends Rule
{
    /** What has to come before what: a later rule of the first kind hides an earlier one of the second. */
    private const HIDES = [
        'link' => ['hover', 'focus', 'active'],
        'visited' => ['hover', 'focus', 'active'],
        'hover' => ['active'],
        'any-link' => ['hover', 'focus', 'active', 'visited'],
    ];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/link-state-order',
            'Wrong link state order',
            Weight::Departure,
            ProofMark::Move,
            'The states of links are in an order in which one of them never shows.',
            'A link can be visited and under the pointer at once. Of two equal rules the later one '
                .'wins, so in the wrong order one state never shows.',
            Citation::css(
                'CSS 2.1',
                '5.11.3 The dynamic pseudo-classes',
                'CSS21/selector.html#dynamic-pseudo-classes',
            ),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            $before = $told = [];
            foreach ($source->rules() as $rule) {
                foreach ($rule->selector->alternatives ?? [] as $selector) {
                    if (preg_match(
                        '/^(.*a(?:[.#\[][^:]*)?):(link|visited|hover|focus|active|any-link)$/i',
                        $selector->written,
                        $parts,
                    ) !== 1) {
                        continue;
                    }
                    $state = strtolower($parts[2]);
                    foreach (self::HIDES[$state] ?? [] as $hidden) {
                        $earlier = $before[$parts[1]][$hidden] ?? null;
                        if (
                            $earlier !== null
                            && $earlier[1]->layer === $rule->layer
                            && ! isset($told["$parts[1] $hidden"])
                        ) {
                            $lost = self::sameProperties($earlier[1], $rule);
                            if ($lost !== []) {
                                $told["$parts[1] $hidden"] = true;
                                yield $this->hidden(
                                    $source,
                                    $earlier[1],
                                    $earlier[0],
                                    $rule,
                                    $selector->written,
                                    $lost,
                                );
                            }
                        }
                    }
                    $before[$parts[1]][$state] = [$selector->written, $rule];
                }
            }
        }
    }

    /** @param  non-empty-list<string>  $lost */
    private function hidden(
        StyleSource $source,
        StyleRule $earlier,
        string $first,
        StyleRule $later,
        string $second,
        array $lost,
    ): Draft {
        return Draft::inCss($source, $earlier->written->preludeSpan(), "order:$first:$second")
            ->says("`$second` comes after `$first` and sets `$lost[0]` too, so `$first` never shows it.")
            ->remedy("Move `$first` below `$second`.")
            ->related(new Related($source->file, $source->place($later->written->preludeSpan()), "`$second`"));
    }

    /** @return list<string> the properties that both set to other values, none of them with `!important` */
    private static function sameProperties(StyleRule $one, StyleRule $other): array
    {
        $plain = fn (StyleRule $rule) => array_column(
            array_filter($rule->declarations, fn (Declaration $declaration) => ! $declaration->important),
            null,
            'name',
        );
        [$ones, $others] = [$plain($one), $plain($other)];
        $shared = array_map(strval(...), array_keys(array_intersect_key($ones, $others)));
        $isOther = fn (string $name) => strcasecmp($ones[$name]->value(), $others[$name]->value()) !== 0;

        return array_values(array_filter($shared, $isOther));
    }
}

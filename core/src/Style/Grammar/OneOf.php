<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `a | b`: one of them. Words are apart, as a definition may have hundreds: one look tells whether one is meant. */
final readonly class OneOf implements GrammarNode
{
    /** @var array<string, true> lower-cased */
    public array $words;

    /** @var list<GrammarNode> what is no word */
    public array $others;

    /** @param  list<GrammarNode>  $parts */
    public function __construct(public array $parts)
    {
        $words = $others = [];
        foreach ($parts as $part) {
            if ($part instanceof Keyword) {
                $words[$part->word] = true;
            } else {
                $others[] = $part;
            }
        }
        $this->words = $words;
        $this->others = $others;
    }
}

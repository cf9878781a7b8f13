<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

/** CSS as it was read. */
final readonly class StyleSheet
{
    /**
     * @param  list<Declaration|SyntaxRule>  $content  of a sheet only rules; of a `style` attribute its declarations
     * @param  list<SyntaxError>  $errors  by their place
     * @param  int  $size  how much it asks of a check: its rules, selectors and declarations
     */
    public function __construct(public Tokens $tokens, public array $content, public array $errors, public int $size)
    {
    }

    /** @return list<SyntaxRule> those that are in no other */
    public function rules(): array
    {
        return array_values(
            array_filter($this->content, fn (Declaration|SyntaxRule $one) => $one instanceof SyntaxRule),
        );
    }

    /** @return \Generator<int, Declaration> all of them, in order, however deep */
    public function declarations(): \Generator
    {
        $waiting = array_reverse($this->content);
        while ($waiting !== []) {
            $one = array_pop($waiting);
            if ($one instanceof Declaration) {
                yield $one;
            } else {
                array_push($waiting, ...array_reverse($one->content));
            }
        }
    }
}

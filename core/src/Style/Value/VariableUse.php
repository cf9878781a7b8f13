<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\TokenType;

/** A `var()` without a fallback: lost where the custom property is not set (CSS Variables 1, section 3). */
final readonly class VariableUse
{
    /** @param  Span  $span  of the name, in the CSS */
    private function __construct(public string $name, public Span $span)
    {
    }

    /** @return list<self> those in a declaration, in order */
    public static function allIn(Declaration $declaration): array
    {
        return stripos($declaration->value(), 'var(') === false
            ? []
            : self::in(Item::list($declaration->tokens, $declaration->from, $declaration->to));
    }

    /**
     * @param  list<Item>  $items
     * @return list<self>
     */
    private static function in(array $items): array
    {
        $found = [];
        foreach ($items as $item) {
            $name = $item->inside[0] ?? null;
            if ($item->type === TokenType::Function && $item->text === 'var' && $name?->type === TokenType::Ident) {
                $written = $name->tokens->text($name->token);
                if (count($item->inside) === 1 && str_starts_with($written, '--')) {
                    $found[] = new self($written, $name->tokens->span($name->token, $name->token));
                }
            } else {
                array_push($found, ...self::in($item->inside));
            }
        }

        return $found;
    }
}

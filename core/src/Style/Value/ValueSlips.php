<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Syntax\TokenType;

/** Why a value is lost whose parts are right: a sum that cannot be worked out, areas that are no rectangle. */
final class ValueSlips
{
    /** @param  list<Item>  $items  of a declaration of that name */
    public static function first(string $property, array $items): ?StyleSlip
    {
        return self::inFunctions($items) ?? GridAreas::slip($property, $items);
    }

    /** @param  list<Item>  $items */
    private static function inFunctions(array $items): ?StyleSlip
    {
        foreach ($items as $item) {
            $slip = $item->inside === [] ? null : self::inFunctions($item->inside) ?? self::inFunction($item);
            if ($slip !== null) {
                return $slip;
            }
        }

        return null;
    }

    private static function inFunction(Item $function): ?StyleSlip
    {
        return $function->text === 'var' ? self::variable($function) : Calculation::slip($function);
    }

    /** CSS Variables 1, section 3: the name is the first thing, with its two dashes. */
    private static function variable(Item $function): ?StyleSlip
    {
        $name = $function->inside[0];
        if ($name->type !== TokenType::Ident || str_starts_with($name->text, '--')) {
            return null;
        }
        $written = $name->tokens->text($name->token);
        $meant = '--'.ltrim($written, '-');

        return new StyleSlip(
            $name->tokens->span($name->token, $name->token),
            "The name of a variable begins with two dashes, and `$written` does not.",
            "Type `var($meant)`.",
            $meant,
        );
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Style\Syntax\QualifiedRule;

/** The selectors of rules, each read once however many ask. */
final class RuleSelectors
{
    /** @var \WeakMap<QualifiedRule, SelectorList|SelectorError> */
    private static \WeakMap $read;

    /**
     * The selector of a rule as it stands there, whatever rule is around it.
     *
     * @throws SelectorError where it cannot be read
     */
    public static function of(QualifiedRule $rule): SelectorList
    {
        self::$read ??= new \WeakMap;
        $found = self::$read[$rule] ??= self::read($rule);
        if ($found instanceof SelectorError) {
            throw $found;
        }

        return $found;
    }

    private static function read(QualifiedRule $rule): SelectorList|SelectorError
    {
        try {
            return SelectorParser::read($rule->tokens, $rule->preludeFrom, $rule->preludeTo);
        } catch (SelectorError $error) {
            return $error;
        }
    }
}

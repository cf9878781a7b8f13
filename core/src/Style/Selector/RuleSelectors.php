<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Style\Syntax\QualifiedRule;

/** The selectors of rules, each read once however many ask. */
final class RuleSelectors
{
    /** @var \WeakMap<QualifiedRule, SelectorList|false> false where it cannot be read: an error holds many kilobytes */
    private static \WeakMap $read;

    /**
     * The selector of a rule as it stands there, whatever rule is around it.
     *
     * @throws SelectorError where it cannot be read
     */
    public static function of(QualifiedRule $rule): SelectorList
    {
        self::$read ??= new \WeakMap;

        return (self::$read[$rule] ??= self::tried($rule)) ?: self::read($rule);
    }

    private static function tried(QualifiedRule $rule): SelectorList|false
    {
        try {
            return self::read($rule);
        } catch (SelectorError) {
            return false;
        }
    }

    /** @throws SelectorError */
    private static function read(QualifiedRule $rule): SelectorList
    {
        return SelectorParser::read($rule->tokens, $rule->preludeFrom, $rule->preludeTo);
    }
}

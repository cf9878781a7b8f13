<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Condition;

use InkedMargin\Core\Style\Syntax\AtRuleNode;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\StyleSlip;

/** What no browser can read in what stands before the block of an at-rule. */
final class AtRuleCheck
{
    private const CONTAINER_FEATURES = [
        'width', 'height', 'inline-size', 'block-size', 'aspect-ratio', 'orientation',
    ];

    public static function of(AtRuleNode $rule): ?StyleSlip
    {
        $part = new Part(Item::list($rule->tokens, $rule->preludeFrom, $rule->preludeTo));
        if ($part->isEmpty()) {
            return null;
        }

        return match ($rule->name()) {
            'media' => MediaCheck::of($part),
            'supports' => (new Condition(self::supported(...)))->slip($part),
            'container' => self::ofContainers($part),
            'layer' => self::layer($rule, $part),
            default => null,
        };
    }

    /** CSS Conditional 3, section 6: a declaration, with its value. */
    private static function supported(Part $part): ?StyleSlip
    {
        return count($part->items) !== 1 || $part->at(0)?->type !== TokenType::Ident ? null : new StyleSlip(
            $part->span(),
            "`@supports` needs a value for `{$part->text()}`, so browsers never apply this.",
            "Type a declaration, such as `({$part->text()}: grid)`.",
        );
    }

    /** CSS Containment 3, section 3: a name may come first, and several conditions may stand side by side. */
    private static function ofContainers(Part $list): ?StyleSlip
    {
        $condition = new Condition(self::contained(...));
        foreach ($list->queries() as $query) {
            $isNamed = $query->at(0)?->type === TokenType::Ident
                && ! $query->isWord(0, 'not')
                && $query->at(1)?->type !== TokenType::Colon;
            $slip = $condition->slip($isNamed ? $query->from(1) : $query);
            if ($slip !== null) {
                return $slip;
            }
        }

        return null;
    }

    private static function contained(Part $part): ?StyleSlip
    {
        $name = $part->at(0);
        $plain = preg_replace('/^(?:min|max)-/', '', $name->text ?? '');
        $isTest = $name?->type === TokenType::Ident && $part->at(1)?->type === TokenType::Colon;
        if (! $isTest || in_array($plain, self::CONTAINER_FEATURES, true)) {
            return null;
        }

        return new StyleSlip(
            $name->tokens->span($name->token, $name->token),
            "`@container` cannot ask for `$name->text`, so browsers never apply this.",
            'Type `min-width` or `max-width`, or check its spelling.',
        );
    }

    /** CSS Cascade 5, section 6.4: names with dots; several of them only where no block follows. */
    private static function layer(AtRuleNode $rule, Part $part): ?StyleSlip
    {
        foreach ($part->queries() as $name) {
            $isName = ! $name->isEmpty() && preg_match('/^[^\s()]+$/', $name->text()) === 1;
            if (! $isName) {
                return new StyleSlip(
                    $part->span(),
                    "`{$part->text()}` is not the name of a layer, so browsers never apply this.",
                    'Type one word, such as `base`.',
                );
            }
        }

        return $rule->open === null || count($part->queries()) === 1 ? null : new StyleSlip(
            $part->span(),
            'A layer with a block has one name, so browsers never apply this.',
            'Type one name here, and the order of the layers in a rule of its own: '
                ."`@layer {$part->text()};`.",
        );
    }
}

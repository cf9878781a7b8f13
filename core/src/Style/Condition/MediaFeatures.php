<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Condition;

use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\StyleSlip;
use InkedMargin\Core\Style\Value\Units;

/** What stands in the brackets of a media query (Media Queries 4, section 2.4). */
final class MediaFeatures
{
    /** @var array<string, string|list<string>>|null by name */
    private static ?array $features = null;

    /** Kinds of answers that also take `min-` and `max-`. */
    private const RANGES = ['length', 'ratio', 'resolution', 'integer'];

    public static function slip(Part $part): ?StyleSlip
    {
        $first = $part->at(0);
        if (! $first instanceof Item || $first->type !== TokenType::Ident || $first->text[0] === '-') {
            return null;
        }
        if ($part->has(TokenType::Semicolon)) {
            return self::semicolon($part);
        }
        $slip = self::unknown($first);
        if ($slip !== null || count($part->items) === 1 || $part->has(TokenType::Delim)) {
            return $slip;
        }
        if ($part->at(1)?->type !== TokenType::Colon) {
            $span = $first->tokens->span($first->token, $first->token);

            return StyleSlip::typed($span, "There is no `:` after `$first->text`.", "$first->text:");
        }

        return self::value($first->text, $part->from(2));
    }

    private static function semicolon(Part $part): StyleSlip
    {
        $signs = array_filter($part->items, fn (Item $item) => $item->type === TokenType::Semicolon);
        $sign = array_values($signs)[0];

        return StyleSlip::typed(
            $sign->tokens->span($sign->token, $sign->token),
            'There is `;` where `:` belongs, so browsers never apply this.',
            ':',
        );
    }

    private static function unknown(Item $name): ?StyleSlip
    {
        if (self::kindOf($name->text) !== null) {
            return null;
        }
        $span = $name->tokens->span($name->token, $name->token);
        $meant = NearestName::of($name->text, self::names());
        $message = "`@media` cannot ask for `$name->text`, so browsers never apply this.";

        return $meant === null
            ? new StyleSlip($span, $message, 'Check its spelling; `max-width` and `min-width` are the usual ones.')
            : StyleSlip::typed($span, $message, $meant);
    }

    private static function value(string $name, Part $value): ?StyleSlip
    {
        $kind = self::kindOf($name);
        $one = $value->at(0);
        if ($one === null) {
            return null;
        }
        if (is_array($kind)) {
            return count($value->items) === 1 && in_array($one->text, $kind, true)
                ? null
                : self::wrongWord($name, $value, $kind);
        }
        $isWorkedOut = array_filter($value->items, fn (Item $item) => $item->type === TokenType::Function) !== [];

        return $kind === 'length' && ! $isWorkedOut ? self::length($name, $value) : null;
    }

    /** @param  list<string>  $words */
    private static function wrongWord(string $name, Part $value, array $words): StyleSlip
    {
        $meant = NearestName::of($value->text(), $words);
        $message = "`$name` is never `{$value->text()}`, so browsers never apply this.";

        return $meant === null
            ? new StyleSlip($value->span(), $message, 'Type one of `'.implode('`, `', $words).'`.')
            : StyleSlip::typed($value->span(), $message, $meant);
    }

    private static function length(string $name, Part $value): ?StyleSlip
    {
        $one = $value->at(0);
        $isOne = count($value->items) === 1;
        if ($one?->type === TokenType::Dimension && $isOne && Units::typeOf($one->unit()) === 'length') {
            return null;
        }
        if ($one?->type === TokenType::Number && $isOne) {
            return $one->number() === 0.0 ? null : StyleSlip::typed(
                $value->span(),
                "`$name: {$value->text()}` has no unit, so browsers never apply this.",
                $value->text().'px',
            );
        }
        $isApart = $one?->type === TokenType::Number && $value->at(1)?->type === TokenType::Ident;
        $joined = $isApart ? $one->tokens->raw($one->token).$value->items[1]->text : null;

        return new StyleSlip(
            $value->span(),
            "`{$value->text()}` is not a length, so browsers never apply this.",
            $joined === null ? 'Type a number with its unit, such as `600px`.' : "Type `$joined`.",
            $joined,
        );
    }

    /** @return string|list<string>|null null for what nobody can ask for */
    private static function kindOf(string $name): string|array|null
    {
        $features = self::all();
        if (isset($features[$name])) {
            return $features[$name];
        }
        $plain = preg_replace('/^(?:min|max)-/', '', $name) ?? '';
        $kind = $features[$plain] ?? null;

        return in_array($kind, self::RANGES, true) ? $kind : null;
    }

    /** @return list<string> */
    private static function names(): array
    {
        $names = [];
        foreach (self::all() as $name => $kind) {
            array_push($names, ...(is_string($kind) ? [$name, "min-$name", "max-$name"] : [$name]));
        }

        return $names;
    }

    /** @return array<string, string|list<string>> */
    private static function all(): array
    {
        /** @var array<string, string|list<string>> */
        return self::$features ??= require __DIR__.'/../../../data/media-features.php';
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\Parser;
use InkedMargin\Core\Style\Syntax\TokenType;

/** The one change that makes a value one which its property takes: found by making it, and looking again. */
final readonly class ValueFix
{
    private const MAX_ITEMS = 40;

    /**
     * @param  Span  $span  bytes of the file that are replaced
     * @param  string  $value  the whole value as it would be
     */
    private function __construct(public FixKind $kind, public Span $span, public string $text, public string $value)
    {
    }

    /** Null where no change is plainly meant. */
    public static function of(Declaration $declaration, ValueCheck $check): ?self
    {
        if (count($check->items()) > self::MAX_ITEMS) {
            return null;
        }
        foreach (self::candidates($declaration, $check) as [$kind, $span, $text]) {
            $value = self::changed($declaration, $span, $text);
            $read = [...Parser::declarations("$declaration->name: $value")->declarations()];
            if (count($read) === 1 && ValueCheck::of($read[0])->verdict === Verdict::Valid) {
                return new self($kind, $span, $text, $read[0]->value());
            }
        }

        return null;
    }

    /** @return iterable<array{FixKind, Span, string}> */
    private static function candidates(Declaration $declaration, ValueCheck $check): iterable
    {
        $tokens = $declaration->tokens;
        foreach ($check->items() as $nth => $item) {
            $span = $tokens->span($item->token, $item->token);
            $next = $check->items()[$nth + 1] ?? null;
            if ($item->type === TokenType::Delim && $item->text === '!') {
                yield [FixKind::Important, new Span($span->start, $declaration->valueSpan()->end), '!important'];
                yield [FixKind::Important, new Span($span->start, $declaration->valueSpan()->end), ''];
            }
            if ($item->type === TokenType::Number && $next !== null && $next->type === TokenType::Ident
                && Units::typeOf($next->text) !== null) {
                yield [FixKind::Space, new Span($span->end, $tokens->start($next->token)), ''];
            }
            if ($item->type === TokenType::Number && $next !== null && $next->text === '%') {
                yield [FixKind::Space, new Span($span->end, $tokens->start($next->token)), ''];
            }
        }
        $wrong = $check->wrong;
        if ($wrong === null) {
            return;
        }
        $span = $tokens->span($wrong->token, $wrong->token);
        $raw = $tokens->raw($wrong->token);
        if ($wrong->type === TokenType::Number) {
            yield [FixKind::Unit, Span::at($span->end), 'px'];
        }
        if ($wrong->type === TokenType::Dimension) {
            $unit = NearestName::of($wrong->unit(), Units::names());
            if ($unit !== null) {
                yield [FixKind::UnitName, $span, substr($raw, 0, -strlen($wrong->unit())).$unit];
            }
        }
        if (preg_match('/^(?:[0-9a-f]{3}|[0-9a-f]{6})$/i', $raw) === 1) {
            yield [FixKind::Hash, $span, "#$raw"];
        }
        if ($wrong->type === TokenType::Ident) {
            yield from self::words($declaration->name, $wrong->text, $span);
        }
        yield [FixKind::Comma, Span::at(self::endBefore($declaration, $wrong)), ','];
        if ($wrong->type === TokenType::Comma) {
            yield [FixKind::NoComma, $span, ''];
        }
        if ($wrong->type === TokenType::String) {
            yield [FixKind::Quotes, $span, $wrong->text];
        }
    }

    /** @return iterable<array{FixKind, Span, string}> */
    private static function words(string $property, string $word, Span $span): iterable
    {
        $own = NearestName::of($word, Keywords::of($property));
        if ($own !== null) {
            yield [FixKind::Word, $span, $own];
        }
        if (Keywords::allow($property, BasicType::HexColor)) {
            /** @var array<string, int> $colours */
            $colours = require __DIR__.'/../../../data/css-colours.php';
            $colour = NearestName::of($word, array_map(strval(...), array_keys($colours)));
            if ($colour !== null) {
                yield [FixKind::Word, $span, $colour];
            }
        }
    }

    /** Behind what comes before a component, white space aside. */
    private static function endBefore(Declaration $declaration, Item $item): int
    {
        $at = $item->token - 1;
        while ($at > $declaration->from && $declaration->tokens->type($at) === TokenType::Whitespace) {
            $at--;
        }

        return $declaration->tokens->stop(max($declaration->from, $at));
    }

    private static function changed(Declaration $declaration, Span $span, string $text): string
    {
        $whole = $declaration->valueSpan();
        $value = $declaration->value();

        return substr($value, 0, $span->start - $whole->start).$text.substr($value, $span->end - $whole->start);
    }
}

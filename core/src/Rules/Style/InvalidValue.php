<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\Declarations;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\BasicType;
use InkedMargin\Core\Style\Value\FixKind;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\Keywords;
use InkedMargin\Core\Style\Value\StyleSlip;
use InkedMargin\Core\Style\Value\ValueCheck;
use InkedMargin\Core\Style\Value\ValueFix;
use InkedMargin\Core\Style\Value\Verdict;

/**
 * A value that its property cannot have (CSS Values and Units Level 4, section 2; the definitions as @webref/css has
 * them).
 */
final readonly class InvalidValue extends Rule
{
    /** So many words are offered where nothing is plainly meant. */
    private const MAX_WORDS = 6;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/invalid-value',
            'Invalid CSS value',
            Weight::Fault,
            ProofMark::Change,
            'A value that the property cannot have.',
            'Browsers ignore a declaration whose value they cannot read. The line does nothing, and '
                .'no error is shown.',
            Citation::css('CSS 2.1', '4.2 Rules for handling parsing errors', 'CSS21/syndata.html#parsing-errors'),
            ['style/syntax'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            foreach (Declarations::ofPages($source->css->content) as $declaration) {
                $check = ValueCheck::of($declaration);
                if ($check->verdict === Verdict::Invalid) {
                    yield $this->invalid($source, $declaration, $check);
                }
            }
        }
    }

    private static function slip(StyleSource $source, Declaration $declaration, StyleSlip $slip): Draft
    {
        return Draft::inCss($source, $slip->span, "value:{$declaration->name}:{$declaration->value()}")
            ->variant('function')
            ->says($slip->message)
            ->remedy($slip->remedy)
            ->mend(Mend::replacing($source->file, $slip->span, $slip->replacement))
            ->causedBy(Subject::inCss($source, $declaration->nameSpan()));
    }

    private function invalid(StyleSource $source, Declaration $declaration, ValueCheck $check): Draft
    {
        if ($check->slip !== null) {
            return self::slip($source, $declaration, $check->slip);
        }
        $fix = ValueFix::of($declaration, $check);
        $name = $declaration->name;
        $wrong = $check->wrong;
        $span = $wrong === null ? $declaration->span() : self::spanOf($wrong);
        $shown = $wrong === null
            ? ''
            : English::excerpt($wrong->tokens->rawBetween($wrong->token, $wrong->tokens->after($wrong->token) - 1), 30);
        if ($fix !== null) {
            $before = $wrong === null ? $shown : self::before($check->items(), $wrong);

            return Draft::inCss(
                $source,
                $fix->kind === FixKind::Space || $fix->kind === FixKind::Important ? $declaration->valueSpan() : $span,
                "value:$name:$shown",
            )
                ->variant(self::variant($fix->kind))
                ->says(self::words($fix, $name, $shown, $before, English::excerpt($declaration->value(), 40)))
                ->remedy("Type `$name: ".English::excerpt($fix->value, 60)
                    .($fix->kind === FixKind::Important ? ' !important' : '').'`.')
                ->mend(Mend::of(
                    new Edit($source->file, $fix->span, $fix->kind === FixKind::Important ? '!important' : $fix->text),
                ))
                ->causedBy(Subject::inCss($source, $declaration->nameSpan()));
        }
        if ($check->items() === []) {
            return Draft::inCss($source, $declaration->span(), "value:$name:")
                ->variant('empty')
                ->mark(ProofMark::Insert)
                ->says("`$name` has no value, so browsers skip it.")
                ->remedy("Type a value after `$name:`, or remove it.")
                ->causedBy(Subject::inCss($source, $declaration->nameSpan()));
        }
        if ($wrong !== null && $wrong->type === TokenType::Hash && Keywords::allow($name, BasicType::HexColor)) {
            return Draft::inCss($source, $span, "value:$name:$shown")
                ->variant('colour')
                ->says("`$shown` is not a colour: ".self::wrongInColour($wrong->text))
                ->remedy('Type a colour such as `#336699`.')
                ->causedBy(Subject::inCss($source, $declaration->nameSpan()));
        }

        return Draft::inCss($source, $span, "value:$name:$shown")
            ->variant('other')
            ->says($wrong === null
                ? '`'.English::excerpt(
                    $declaration->value(),
                    40,
                )."` is not a complete value of `$name`, so browsers skip it."
                : "`$name` cannot have `$shown`".(count($check->items()) > 1 ? ' there' : '').', so browsers skip it.')
            ->remedy(self::offer($name))
            ->causedBy(Subject::inCss($source, $declaration->nameSpan()));
    }

    /** @param  string  $digits  what follows the `#` */
    private static function wrongInColour(string $digits): string
    {
        preg_match_all('/[^0-9a-f]/iu', $digits, $found);
        $wrong = array_values(array_unique($found[0]));

        return $wrong === []
            ? 'it has '.English::count(strlen($digits), 'digit').' after `#`; 3, 4, 6 and 8 are right.'
            : English::names(array_slice($wrong, 0, 4), 'and').' cannot be in it. After `#` come 3, 4, 6 or 8 digits, '
                .'from 0 to 9 and a to f.';
    }

    private static function variant(FixKind $kind): string
    {
        return match ($kind) {
            FixKind::NoComma => 'comma',
            FixKind::Quotes => 'other',
            default => $kind->value,
        };
    }

    private static function words(ValueFix $fix, string $name, string $shown, string $before, string $value): string
    {
        $skips = ', so browsers skip this declaration.';

        return match ($fix->kind) {
            FixKind::Unit => "`$shown` has no unit$skips",
            FixKind::UnitName => "`$shown` has a unit that CSS does not have$skips",
            FixKind::Space => "There is a space between a number and its unit in `$value`$skips",
            FixKind::Hash => "The colour `$shown` has no `#`$skips",
            FixKind::Word => "`$name` cannot be `$shown`$skips",
            FixKind::Comma => "There is no comma between `$before` and `$shown`$skips",
            FixKind::NoComma => "`$value` has a comma too many$skips",
            FixKind::Quotes => "`$shown` is in quotes, which `$name` cannot have$skips",
            FixKind::Important => "`$value` has a misspelt `!important`$skips",
        };
    }

    /** @param  list<Item>  $items */
    private static function before(array $items, Item $wrong): string
    {
        $at = (int) array_search($wrong, $items, true);

        return $at === 0 ? '' : English::excerpt($wrong->tokens->raw($items[$at - 1]->token), 30);
    }

    private static function spanOf(Item $item): Span
    {
        return $item->tokens->span($item->token, $item->tokens->after($item->token) - 1);
    }

    /** What may be typed instead. */
    private static function offer(string $name): string
    {
        $examples = [];
        foreach ([
            [BasicType::HexColor, '#336699'], [BasicType::LengthPercentage, '10px'], [BasicType::Length, '10px'],
            [BasicType::Percentage, '50%'], [BasicType::Number, '1.5'], [BasicType::Integer, '2'],
            [BasicType::Time, '0.3s'],
            [BasicType::Angle, '45deg'], [BasicType::Url, 'url("images/tern.png")'], [BasicType::String, '"text"'],
        ] as [$type, $example]) {
            if (Keywords::allow($name, $type) && ! in_array($example, $examples, true)) {
                $examples[] = $example;
            }
        }
        $words = array_values(array_filter(Keywords::of($name), fn (string $word) => $word[0] !== '-'));
        $all = array_slice([...array_slice($examples, 0, 2), ...$words], 0, self::MAX_WORDS);

        return $all === [] ? 'Check the value, or remove it.' : 'Type a value such as '.English::names($all, 'or').'.';
    }
}

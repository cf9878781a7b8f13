<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\Parser;

/** How a browser shows HTML when nobody says otherwise (HTML Standard, section 15), read once. */
final class Defaults
{
    private const LENGTH = '/^\s*\d+(\.\d+)?(%?)/';

    private const COLOURED = ['body', 'table', 'thead', 'tbody', 'tfoot', 'tr', 'td', 'th'];

    /** Names of attributes that say something of looks. */
    private const SPEAKING = ['bgcolor' => 1, 'text' => 1, 'color' => 1, 'size' => 1, 'align' => 1, 'width' => 1];

    /** HTML Standard, 15.3.4: the sizes of `font` from 1 to 7. */
    private const SIZES = ['x-small', 'small', 'medium', 'large', 'x-large', 'xx-large', 'xxx-large'];

    /** HTML Standard, 15.3.8: tables of pages in quirks mode begin anew. */
    private const QUIRKS = 'table { font-weight: initial; font-size: initial; text-align: initial }';

    /** @var array<int, RuleIndex> by whether they are those of quirks mode */
    private static array $rules = [];

    public static function rules(bool $isQuirky): RuleIndex
    {
        return self::$rules[(int) $isQuirky] ??= new RuleIndex(RuleReader::read(
            Parser::sheet(file_get_contents(__DIR__.'/../../../data/default.css').($isQuirky ? self::QUIRKS : '')),
            '',
            origin: Origin::Browser,
        ));
    }

    /**
     * @return list<Declaration> what the attributes of an element say of its looks (HTML Standard, 15.3,
     *     "presentational hints")
     */
    public static function hints(Element $element, ?Element $body): array
    {
        $hasAny = array_intersect_key($element->attributes, self::SPEAKING) !== [];
        if (! $hasAny && ($element->name !== 'a' || $body?->attribute('link') === null)) {
            return [];
        }
        $css = '';
        $background = $element->value('bgcolor');
        if ($background !== null && in_array($element->name, self::COLOURED, true)) {
            $css .= 'background-color: '.self::legacyColour($background).';';
        }
        if ($element->name === 'body' && $element->value('text') !== null) {
            $css .= 'color: '.self::legacyColour($element->value('text')).';';
        }
        if ($element->name === 'a' && $element->attribute('href') !== null && $body?->value('link') !== null) {
            $css .= 'color: '.self::legacyColour((string) $body->value('link')).';';
        }
        if ($element->name === 'font' || $element->name === 'basefont') {
            $css .= $element->value('color') === null
                ? ''
                : 'color: '.self::legacyColour((string) $element->value('color')).';';
            $size = trim($element->value('size') ?? '');
            if (preg_match('/^([+-]?)(\d)/', $size, $parts) === 1) {
                $number = (int) $parts[2];
                $number = ['' => $number, '+' => 3 + $number, '-' => 3 - $number][$parts[1]];
                $css .= 'font-size: '.self::SIZES[max(1, min(7, $number)) - 1].';';
            }
        }
        $align = strtolower($element->value('align') ?? '');
        if (in_array($align, ['left', 'right', 'center', 'justify'], true)) {
            $css .= match (true) {
                in_array(
                    $element->name,
                    ['img', 'table', 'iframe', 'object'],
                    true,
                ) => in_array($align, ['left', 'right'], true)
                    ? "float: $align;"
                    : '',
                in_array(
                    $element->name,
                    ['p', 'div', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'td', 'th', 'tr', 'thead', 'tbody', 'tfoot'],
                    true,
                ) => "text-align: $align;",
                default => '',
            };
        }
        if (preg_match(self::LENGTH, $element->value('width') ?? '', $parts) === 1
            && in_array($element->name, ['img', 'table', 'td', 'th', 'iframe', 'video', 'hr', 'col'], true)) {
            $css .= 'width: '.trim($parts[0]).($parts[2] === '%' ? '' : 'px').';';
        }

        return $css === '' ? [] : [...Parser::declarations($css)->declarations()];
    }

    /** HTML Standard, 2.4.6, "rules for parsing a legacy color value", as far as names and hexadecimal digits go. */
    private static function legacyColour(string $written): string
    {
        $written = trim($written);
        if (preg_match('/^#?([0-9a-f]{6})$/i', $written, $digits) === 1) {
            return "#$digits[1]";
        }

        return preg_match('/^(?:#[0-9a-f]{3}|[a-z]+)$/i', $written) === 1 ? $written : 'inherit';
    }
}

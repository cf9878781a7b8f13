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
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\Declarations;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Style\Cascade\Longhands;
use InkedMargin\Core\Style\Cascade\Variables;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\ValueCheck;
use InkedMargin\Core\Style\Value\Verdict;

/** A list of fonts without a generic one at its end (CSS Fonts Level 4, section 2.1: authors are to offer one). */
final readonly class NoGenericFont extends Rule
{
    private const GENERIC = [
        'serif', 'sans-serif', 'monospace', 'cursive', 'fantasy', 'system-ui', 'ui-serif', 'ui-sans-serif',
        'ui-monospace', 'ui-rounded', 'math', 'emoji', 'fangsong',
        'inherit', 'initial', 'unset', 'revert', 'revert-layer', 'generic', '-apple-system', 'caption', 'icon', 'menu',
        'message-box', 'small-caption', 'status-bar',
    ];

    /** Fonts whose letters have no serifs, or are all as wide: what is to be typed behind them. */
    private const SANS = '/arial|helvetica|verdana|tahoma|trebuchet|sans|roboto|lato|inter|segoe|futura|calibri|gill|ubuntu|montserrat|poppins|impact|oswald|century gothic|raleway|nunito/i';

    private const ICONS = '/icon|glyph|awesome|symbol|dings|emoji|themify|feather/i';

    private const MONO = '/courier|mono|consolas|code|menlo|terminal/i';

    private const SCRIPT = '/comic|script|cursive|hand|brush|pacifico|dancing/i';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/no-generic-font',
            'No fallback font',
            Weight::Tidy,
            ProofMark::Insert,
            'A list of fonts that does not end in a generic family.',
            'Not every computer has your font. If the list does not end in a general family such as '
                .'`serif`, the browser picks one that may not fit at all.',
            Citation::css('CSS 2.1', '15.3 Font family', 'CSS21/fonts.html#font-family-prop'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        $reach = $exam->site->fact(RuleReach::class);
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            foreach ($reach->isGeneral($source->path()) ? [] : Declarations::ofPages(
                $source->css->content,
            ) as $declaration) {
                if (! in_array($declaration->name, ['font-family', 'font'], true)) {
                    continue;
                }
                $check = ValueCheck::of($declaration);
                $fonts = $check->verdict === Verdict::Valid
                    ? Longhands::value($declaration->name, 'font-family', $check->items())
                    : null;
                $last = $fonts === null ? null : $fonts[count($fonts) - 1];
                if ($fonts === null || $last === null || self::isHidden($declaration, $check->items())
                    || array_filter($fonts, Variables::areIn(...)) !== []
                    || ! in_array($last->type, [TokenType::Ident, TokenType::String], true)
                    || ($last->type === TokenType::Ident && in_array($last->text, self::GENERIC, true))) {
                    continue;
                }
                $names = implode(' ', array_map(fn ($one) => $one->text, $fonts));
                // No other font has the signs of an icon font.
                if (preg_match(self::ICONS, $names) === 1) {
                    continue;
                }
                $generic = match (true) {
                    preg_match(self::MONO, $names) === 1 => 'monospace',
                    preg_match(self::SCRIPT, $names) === 1 => 'cursive',
                    preg_match(self::SANS, $names) === 1 => 'sans-serif',
                    default => 'serif',
                };
                $shown = English::excerpt($declaration->tokens->rawBetween($fonts[0]->token, $last->token), 50);
                yield Draft::inCss($source, $declaration->tokens->span($fonts[0]->token, $last->token), "fonts:$shown")
                    ->says("`$shown` does not end in a general font family, for readers who have none of these fonts.")
                    ->remedy("Type `, $generic` after it.")
                    ->mend(
                        Mend::of(Edit::insert($source->file, $declaration->tokens->stop($last->token), ", $generic")),
                    )
                    ->folded("fonts $shown");
            }
        }
    }

    /**
     * Text without a size shows no font: `font: 0/0 a` hides the words of an element. Common practice.
     *
     * @param  list<Item>  $items
     */
    private static function isHidden(Declaration $declaration, array $items): bool
    {
        $size = $declaration->name === 'font' ? Longhands::value('font', 'font-size', $items) : null;

        return $size !== null && count($size) === 1 && preg_match('/^0(?:\.0*)?[a-z]*$/i', $size[0]->text) === 1;
    }
}

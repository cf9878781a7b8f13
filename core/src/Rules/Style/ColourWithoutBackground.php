<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Style\Cascade\Origin;

/** On `body`, a colour of the text without one behind it, or the other way round (WCAG 2.2, failure F24). */
final readonly class ColourWithoutBackground extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/colour-without-background',
            'Colour without background',
            Weight::Tidy,
            ProofMark::Insert,
            'The page has a text colour and no background, or the other way round.',
            'Some people set their own colours in the browser. If you set only the text or only the '
                .'background, yours and theirs can be too close to read.',
            Citation::standard(
                'Techniques for WCAG 2.2',
                'F24',
                'https://www.w3.org/WAI/WCAG22/Techniques/failures/F24',
            ),
            ['style/invalid-value', 'style/unknown-property', 'style/syntax'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $styles = $exam->site->fact(SiteStyles::class);
        $reach = $exam->site->fact(RuleReach::class);
        $sources = $exam->site->fact(StyleSources::class);
        $told = [];
        foreach ($exam->site->pages as $page) {
            $body = $page->document->first('body');
            $root = $page->document->first('html');
            if ($body === null || $root === null || $styles->rulesOf($page) === []) {
                continue;
            }
            $cascade = $styles->cascadeOf($page);
            $said = fn (string $property) => array_values(array_filter(
                [...$cascade->of($body, $property), ...$cascade->of($root, $property)],
                fn ($one) => $one->items !== null && ($one->rule->origin ?? Origin::Author) !== Origin::Browser,
            ));
            $colour = $said('color');
            $background = [...$said('background-color'), ...$said('background-image')];
            if (($colour === []) === ($background === [])) {
                continue;
            }
            $one = ($colour === [] ? $background : $colour)[0];
            if ($one->declaration === null || $one->rule === null || $reach->isGeneral($one->rule->sheet)
                || isset($told[spl_object_id($one->declaration)])) {
                continue;
            }
            $told[spl_object_id($one->declaration)] = true;
            $source = $sources->writing($one->declaration);
            if ($source === null) {
                continue;
            }
            $isColour = $colour !== [];
            yield Draft::inCss($source, $one->declaration->span(), 'alone')
                ->variant($isColour ? 'background' : 'colour')
                ->says($isColour
                    ? 'The page has a text colour, and no background colour to read it on.'
                    : 'The page has a background, and no text colour to be read on it.')
                ->remedy($isColour
                    ? 'Type `background-color: #ffffff;` beside it, or the colour you want.'
                    : 'Type `color: #222222;` beside it, or the colour you want.');
        }
    }
}

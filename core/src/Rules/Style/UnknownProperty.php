<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\Declarations;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Value\Definitions;
use InkedMargin\Core\Style\Value\ValueCheck;
use InkedMargin\Core\Style\Value\Verdict;

/**
 * A property that CSS does not have. Source of the names: @webref/css; those of one maker's browsers begin with a
 * hyphen.
 */
final readonly class UnknownProperty extends Rule
{
    /** Of old browsers, and of SVG in its own files: no slips of the hand. */
    private const OTHERS = [
        'filter', 'behavior', 'behaviour', 'scrollbar-base-color', 'scrollbar-face-color', 'word-wrap', 'zoom', 'speak',
        'ime-mode', 'layout-flow', 'text-autospace', 'enable-background',
    ];

    /** What HTML calls so, and CSS otherwise (common practice). */
    private const MEANT = [
        'bgcolor' => 'background-color', 'bg-color' => 'background-color', 'text-color' => 'color',
        'font-color' => 'color', 'colour' => 'color',
        'background-colour' => 'background-color', 'align' => 'text-align', 'border-colour' => 'border-color',
        'text-size' => 'font-size', 'textcolor' => 'color', 'font-colour' => 'color', 'text-colour' => 'color',
        'padding-center' => 'padding',
    ];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/unknown-property',
            'Unknown CSS property',
            Weight::Fault,
            ProofMark::Change,
            'A property that CSS does not have.',
            'Browsers ignore a property that they do not know. The line does nothing, and no error is '
                .'shown.',
            Citation::css('CSS 2.1', '4.2 Rules for handling parsing errors', 'CSS21/syndata.html#parsing-errors'),
            ['style/syntax'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            foreach (Declarations::ofPages($source->css->content) as $declaration) {
                if (ValueCheck::of($declaration)->verdict !== Verdict::UnknownProperty
                    || in_array($declaration->name, self::OTHERS, true) || $declaration->name[0] === '_') {
                    continue;
                }
                $meant = self::meant($declaration);
                yield Draft::inCss($source, $declaration->nameSpan(), "property:{$declaration->name}")
                    ->variant($meant === null ? 'unknown' : 'misspelt')
                    ->says("CSS has no property `{$declaration->name}`, so browsers skip it.")
                    ->remedy($meant === null ? 'Check its spelling, or remove it.' : "Type `$meant`.")
                    ->mend(Mend::replacing($source->file, $declaration->nameSpan(), $meant))
                    ->folded("property {$declaration->name}");
            }
        }
    }

    private static function meant(Declaration $declaration): ?string
    {
        static $standard = null;
        $standard ??= array_filter(Definitions::names(), fn (string $name) => $name[0] !== '-');

        return self::MEANT[$declaration->name] ?? NearestName::of($declaration->name, $standard);
    }
}

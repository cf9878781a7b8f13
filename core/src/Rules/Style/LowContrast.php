<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Contrast;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\ContrastPair;
use InkedMargin\Core\Site\Styles\ContrastPairs;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;

/** Text that is too like what is behind it (WCAG 2.2, success criterion 1.4.3). */
final readonly class LowContrast extends Rule
{
    private const MOST_RELATED = 6;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/low-contrast',
            'Low contrast',
            Weight::Departure,
            ProofMark::Change,
            'Text that is hard to read against its background.',
            'Text that is almost as light or as dark as its background is hard to read for many '
                .'people, and for everybody in bright sunlight.',
            Citation::wcag('1.4.3 Contrast (Minimum)', 'contrast-minimum'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        $sources = $exam->site->fact(StyleSources::class)->all;
        foreach ($exam->site->fact(ContrastPairs::class)->pairs as $pair) {
            if ($pair->isEnough() || self::isAsked($pair, $exam)) {
                continue;
            }
            foreach ($sources as $source) {
                if ($source->css->tokens === $pair->cause->tokens) {
                    yield $this->tooLow($source, $pair);

                    break;
                }
            }
        }
    }

    /** Whether the brief asks for contrast on all of its pages, and speaks of it itself. */
    private static function isAsked(ContrastPair $pair, Examination $exam): bool
    {
        foreach ($pair->places as [$page]) {
            if ($exam->brief->covering($page->path(), Contrast::class) === null) {
                return false;
            }
        }

        return true;
    }

    private function tooLow(StyleSource $source, ContrastPair $pair): Draft
    {
        return Draft::inCss($source, $pair->cause->span(), "contrast:{$pair->colour->hex()}:{$pair->background->hex()}")
            ->says($pair->sentence())
            ->remedy($pair->remedy())
            ->related(...array_map(
                fn (array $place) => new Related($place[0]->file, $place[1]->place(), 'this text'),
                array_slice($pair->places, 0, self::MOST_RELATED),
            ));
    }
}

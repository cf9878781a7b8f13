<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Contrast;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\ContrastPair;
use InkedMargin\Core\Site\Styles\ContrastPairs;

/** Text that is too like what is behind it (WCAG 2.2, success criterion 1.4.3). */
final readonly class LowContrast extends Rule implements ComparesFiles
{
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
        foreach ($exam->site->fact(ContrastPairs::class)->pairs as $pair) {
            $isFine = $pair->isEnough() || self::isAsked($pair, $exam);
            $draft = $isFine ? null : Contrast::draft($pair, $exam->site);
            if ($draft !== null) {
                yield $draft;
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
}

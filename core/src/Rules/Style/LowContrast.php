<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Site\Styles\ContrastPair;
use InkedMargin\Core\Site\Styles\ContrastPairs;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\English;

/** Text that is too like what is behind it (WCAG 2.2, success criterion 1.4.3). */
final readonly class LowContrast extends CssRule
{
    private const MOST_RELATED = 6;

    public function __construct()
    {
        parent::__construct(
            'style/low-contrast',
            Weight::Departure,
            ProofMark::Change,
            'Text that is hard to read against its background.',
        );
    }

    public function examples(): array
    {
        $site = fn (string $colour) => [
            'index.html' => Example::page('<p>Puffins nest here.</p>', head: '<link rel="stylesheet" href="site.css">'."\n"),
            'site.css' => "p { color: $colour; background: #fff }",
        ];

        return [new Example('', $site('#999'), $site('#595959'))];
    }

    public function check(Examination $exam): iterable
    {
        $sources = $exam->site->fact(StyleSources::class)->all;
        foreach ($exam->site->fact(ContrastPairs::class)->pairs as $pair) {
            if ($pair->isEnough()) {
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

    private function tooLow(StyleSource $source, ContrastPair $pair): Finding
    {
        $text = $pair->colour->hex();
        $behind = $pair->background->hex();
        $ratio = floor(100 * $pair->ratio) / 100;
        $better = $pair->nearestEnough()->hex();

        return $this->cssFinding(
            $source,
            $pair->cause->span(),
            "Text in `$text` on `$behind` has a contrast of $ratio:1, and needs $pair->needed:1 to be easy to read (".English::count(count($pair->places), 'element').').',
            $pair->isOfText
                ? 'Type a '.($pair->background->luminance() > 0.18 ? 'darker' : 'lighter')." colour, such as `$better`."
                : "Give the text a colour of its own, such as `$better`, or change this background.",
            "contrast:$text:$behind",
            related: array_map(
                fn (array $place) => new Related($place[0]->file, $place[1]->place(), 'this text'),
                array_slice($pair->places, 0, self::MOST_RELATED),
            ),
        );
    }
}

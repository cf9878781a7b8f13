<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Brief\Kind\PatternShortfall;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** The pattern that the brief names, or that is plain to see, broken at one link. Common practice. */
final readonly class Pattern extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'nav/pattern',
            Weight::Departure,
            ProofMark::Change,
            'The pattern in which the pages link is broken: a link is missing, wrong, swapped or extra.',
            [
                'link/missing-file', 'link/letter-case', 'link/wrong-folder', 'link/outside-site', 'link/local-path',
                'link/empty', 'link/bad-address',
                'link/missing-scheme', 'link/folder-without-index', 'link/label-mismatch', 'nav/menu-differs',
                'nav/missing-menu', 'file/missing', 'file/name',
                'nav/unreachable-page', 'markup/stray-end-tag',
            ],
        );
    }

    public function examples(): array
    {
        $asked = 'kind: navigation, pattern: ring';

        return [
            new Example('missing', self::ring('<a href="stop-2.html">Back</a>', ''), self::ring()),
            new Example('wrong', self::ring('stop-4.html', 'stop-5.html'), self::ring()),
            new Example(
                'swapped',
                self::ring(
                    '<a href="stop-2.html">Back</a> <a href="stop-4.html">On</a>',
                    '<a href="stop-4.html">Back</a> <a href="stop-2.html">On</a>',
                ),
                self::ring(),
            ),
            new Example(
                'surplus',
                self::ring('</nav>', ' <a href="stop-5.html">Far</a></nav>'),
                self::ring(),
                "$asked, order: [index.html, stop-2.html, stop-3.html, stop-4.html, stop-5.html, stop-6.html]",
            ),
            new Example('mislabelled', self::ring('>On<', '>Next<'), self::ring(), "$asked, \"on\": \"On\""),
        ];
    }

    public function speaksFor(): array
    {
        return [Navigation::class => PatternShortfall::VARIANTS];
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->expectations()->patterns as [$match, $requirement]) {
            foreach ($requirement === null ? $match->violations : [] as $violation) {
                yield $this->shortfallFinding(PatternShortfall::of($violation, $match, $exam->site), null);
            }
        }
    }

    /**
     * A ring of six stops, the third of them changed.
     *
     * @return array<string, string>
     */
    private static function ring(string $from = '', string $to = ''): array
    {
        $name = fn (int $stop) => $stop === 1 ? 'index.html' : "stop-$stop.html";
        $site = [];
        for ($stop = 1; $stop <= 6; $stop++) {
            $body = '<nav><a href="'.$name(
                $stop === 1 ? 6 : $stop - 1,
            ).'">Back</a> <a href="'.$name($stop === 6 ? 1 : $stop + 1)."\">On</a></nav><p>This is stop $stop.</p>";
            $site[$name($stop)] = $stop === 3 && $from !== '' ? str_replace($from, $to, $body) : $body;
        }

        return $site;
    }
}

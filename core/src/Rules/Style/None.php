<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Stylesheets;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Source\English;

/** Stylesheets are there, and no page links one. A site without any is a matter of its brief. Common practice. */
final readonly class None extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/none',
            'No stylesheet linked',
            Weight::Departure,
            ProofMark::Insert,
            'The site has a stylesheet, and no page links it.',
            'The browser shows the pages in its own plain style. All the design that you wrote is in '
                .'a file that no page loads.',
            Citation::html('Link type “stylesheet”', 'links.html#link-type-stylesheet'),
            [
                'link/missing-file', 'link/letter-case', 'link/wrong-folder', 'link/local-path',
                'link/outside-site', 'style/missing-rel', 'markup/unclosed-element', 'markup/unknown-element',
                'markup/unknown-attribute', 'link/bad-address', 'link/empty',
            ],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $site = $exam->site;
        $home = array_values($site->pages)[0] ?? null;
        if ($home === null || $site->sheets === []) {
            return;
        }
        $causes = [];
        foreach ($site->pages as $page) {
            if ($page->styles !== [] || $page->stylesheets() !== []
                || $exam->brief->covering($page->path(), Stylesheets::class) !== null) {
                return;
            }
            foreach ($page->named('link') as $link) {
                $causes[] = Subject::element($page->path(), $link);
            }
        }
        $sheets = array_map(strval(...), array_keys($site->sheets));
        $line = Stylesheets::line($home, $sheets[0]);
        $mend = count($sheets) === 1 && count($site->pages) === 1 ? Stylesheets::mend($home, $line) : null;
        yield Draft::onPage($home, $home->headPlace(), 'no-sheet')
            ->says(
                'No page links '.English::names($sheets, 'or', 3).', so '.(count($sheets) === 1 ? 'it does' : 'they do')
                    .' nothing.',
            )
            ->remedy("Type `$line` inside `<head>`".(count($site->pages) === 1 ? '.' : ', and the same on every page.'))
            ->mend($mend instanceof Mend ? $mend : null)
            ->about(...array_map(fn (string $sheet) => Subject::file($sheet), $sheets))
            ->causedBy(...$causes);
    }
}

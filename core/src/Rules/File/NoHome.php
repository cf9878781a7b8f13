<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\SourceFile;

/** There is no `index.html` at the root, which a server would show first. Common practice. */
final readonly class NoHome extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/no-home',
            'No home page',
            Weight::Fault,
            ProofMark::Insert,
            'There is no index.html at the root of the site.',
            'When people type only the name of your site, the server sends `index.html`. Without it, '
                .'they see an error or a bare list of files.',
            Citation::practice(),
            ['file/double-extension', 'file/name'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $files = $exam->site->files;
        if ($files->home() !== null) {
            return;
        }
        $near = self::likelyHome($files);
        yield Draft::aboutFile('index.html', null)
            ->says('The site has no home page: servers show `index.html` first, and it is missing.')
            ->remedy($near === null
                ? 'Name your first page `index.html`, and keep it outside all folders.'
                : "Rename `$near` to `index.html`.")
            ->about(...($near === null ? [] : [Subject::file($near)]))
            ->causedBy(...($near === null ? [] : [Subject::file($near)]));
    }

    /** The file that is meant to be the home page: one with a like name, or the only page */
    private static function likelyHome(Site $files): ?string
    {
        $atRoot = array_filter($files->ownFiles(), fn (SourceFile $file) => $file->folder() === '');
        $near = $files->spelling('index.html') ?? NearestName::of(
            'index.html',
            array_map(fn (SourceFile $file) => $file->path, array_values($atRoot)),
        );
        $pages = array_values(
            array_filter($atRoot, fn (SourceFile $file) => in_array($file->extension(), ['html', 'htm'], true)),
        );

        return $near ?? (count($pages) === 1 ? $pages[0]->path : null);
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\SourceFile;

/** There is no `index.html` at the root, which a server would show first. Common practice. */
final readonly class NoHome extends Rule
{
    public function __construct()
    {
        parent::__construct('file/no-home', Weight::Fault, ProofMark::Insert, 'There is no index.html at the root of the site.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        if ($reading->site->home() !== null) {
            return;
        }
        $atRoot = array_filter($reading->site->files(), fn (SourceFile $file) => $file->folder() === '');
        $near = $reading->site->spelling('index.html') ?? NearestName::of('index.html', array_map(strval(...), array_keys($atRoot)));
        yield $this->about(
            'index.html',
            null,
            'The site has no home page: a server shows index.html when it is asked for the site, and there is none at its root.',
            $near === null ? 'Name the first page index.html and keep it outside every folder.' : "Rename {$near} to index.html.",
        );
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Names;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** The name of the archive against the brief, and an extension twice. Common practice. */
final readonly class ArchiveName extends Rule
{
    public function __construct()
    {
        parent::__construct('file/archive-name', Weight::Departure, ProofMark::Change, 'The archive is not named as it should be.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $archive = $reading->site->packing->archive;
        $asked = array_values(array_filter($brief->ofKind(Names::class), fn (Names $names) => $names->archiveFits($reading->site) === false))[0] ?? null;
        $place = $reading->site->home()->path ?? 'index.html';
        if ($archive !== null && $asked?->archive !== null) {
            yield $this->about($place, $reading->site->home(), "The archive is called {$archive}.", "Call it {$asked->archive->for($reading->site->packing->handle)}.", 'archive', $asked);
        } elseif ($archive !== null && preg_match('/^(.*\.zip)\.zip$/i', $archive, $once) === 1) {
            yield $this->about($place, $reading->site->home(), "The archive is called {$archive}: its extension stands twice.", "Call it {$once[1]}. Show extensions in your file manager first.", 'archive');
        }
    }
}

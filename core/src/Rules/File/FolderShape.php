<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Names;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A folder in a folder, or none, against the brief or most of the class. Common practice. */
final readonly class FolderShape extends Rule
{
    public function __construct()
    {
        parent::__construct('file/folder-shape', Weight::Departure, ProofMark::Move, 'The site is not packed in one folder.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $packing = $reading->site->packing;
        $asked = array_values(array_filter($brief->ofKind(Names::class), fn (Names $names) => $names->folder !== null))[0] ?? null;
        $place = $reading->site->home()->path ?? 'index.html';
        $depth = count($packing->folders);
        $around = implode('/', $packing->folders);
        if ($asked?->folder !== null && $asked->folderFits($reading->site) === false) {
            $wanted = $asked->folder->for($packing->handle);
            [$message, $remedy] = match ($depth) {
                0 => ['The files lie in no folder.', "Put them all into one folder called {$wanted}, and pack that."],
                1 => ["The folder is called {$around}.", "Call it {$wanted}."],
                default => ["The site lies in a folder in a folder: {$around}.", "Pack the inner folder alone, and call it {$wanted}."],
            };
        } elseif ($asked === null && $depth > max(1, $packing->usualDepth ?? 1)) {
            [$message, $remedy] = ["The site lies in a folder in a folder: {$around}.", 'Pack the inner folder alone.'];
        } elseif ($asked === null && $packing->archive !== null && $packing->usualDepth !== null && $depth < $packing->usualDepth) {
            [$message, $remedy] = ['The files lie in no folder, as those of the class do.', 'Put them all into one folder, and pack that.'];
        } else {
            return;
        }
        yield $this->about($place, $reading->site->home(), $message, $remedy, 'shape', $asked);
    }
}

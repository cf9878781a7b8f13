<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** What was not judged, as it would have taken too much time or memory. It comes last: others find it out. */
final readonly class TooLarge extends Rule
{
    public const ID = 'file/too-large';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            self::ID,
            'Too large to check',
            Weight::Tidy,
            ProofMark::Look,
            'A file, or all files together, are more than a check can handle.',
            'One hand-in should not keep the others waiting. What is too large is not judged: it costs no points, and '
                .'your instructor decides about it.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->unread as $unread) {
            yield Draft::aboutFile($unread->path(), $unread->file)
                ->says("`{$unread->path()}` was not checked. $unread->why")
                ->remedy('Make the file smaller, or leave out what the site does not need.');
        }
        $files = $exam->site->files;
        $place = $files->home() ?? array_values($files->ownFiles())[0] ?? null;
        foreach ($exam->overLimits() as $message) {
            yield Draft::aboutFile($place->path ?? 'index.html', $place, substr(sha1($message), 0, 8))
                ->variant('site')
                ->says("Some parts of this site were not checked. $message")
                ->remedy('Leave out what the site does not need, such as stylesheets that no page uses.');
        }
    }
}

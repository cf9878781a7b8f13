<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Starter;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A passage that the brief wants replaced. Common practice. */
final readonly class StarterUnchanged extends Rule
{
    public function __construct()
    {
        parent::__construct('content/starter-unchanged', Weight::Departure, ProofMark::Change, 'A passage of the starter files was to be replaced, and still stands.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($brief->ofKind(Starter::class) as $requirement) {
            foreach ($requirement->terms->pages->of($reading) as $page) {
                foreach ($requirement->standingIn($page) as [$element, $passage]) {
                    yield $this->on($element, $page->file, $element->span() ?? $element->place(), "“{$passage}” stands here as it came in the starter files.", 'Replace it, as the brief asks.', for: $requirement, about: '#'.substr(sha1($passage), 0, 8));
                }
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\Span;

/** A file of the brief's list is not in the site. Common practice. */
final readonly class MissingFile extends Rule
{
    private const MOST_LINKS = 12;

    public function __construct()
    {
        parent::__construct('file/missing', Weight::Fault, ProofMark::Insert, 'A file that the brief asks for is not there.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($brief->ofKind(Files::class) as $requirement) {
            foreach ($requirement->missing($reading->site) as $name) {
                if (self::isToldElsewhere($name, $reading)) {
                    continue;
                }
                $unasked = array_diff(array_map(strval(...), array_keys($reading->site->files())), $requirement->names);
                $near = $reading->site->spelling($name) ?? NearestName::of($name, $unasked);
                yield $this->finding(
                    $name,
                    null,
                    Span::at(0),
                    "The brief asks for the file {$name}, and it is not in the hand-in.",
                    $near === null ? "Add the file {$name}, spelled just like that." : "If {$near} is meant to be this page, rename it {$name}.",
                    '',
                    self::linksTo($name, $reading),
                    $requirement,
                );
            }
        }
    }

    /** @return list<Related> the first links that lead to a file that is not there */
    private static function linksTo(string $name, SiteReading $reading): array
    {
        $links = [];
        foreach ($reading->references() as $reference) {
            if ($reference->target->path === $name && count($links) < self::MOST_LINKS) {
                $links[] = new Related($reference->from, $reference->span, "this leads to {$name}");
            }
        }

        return $links;
    }

    /** Whether the file is there under its name and a second extension. */
    private static function isToldElsewhere(string $name, SiteReading $reading): bool
    {
        foreach (array_keys($reading->site->ownFiles()) as $path) {
            if (DoubleExtension::meant((string) $path) === $name) {
                return true;
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\FileKind;

/** A file that no page and no stylesheet refers to. Common practice. */
final readonly class UnusedFile extends Rule
{
    /** Files that browsers, crawlers and people look for by their name. */
    private const ALWAYS = ['favicon.ico', 'robots.txt', 'sitemap.xml', 'readme.txt', 'readme.md', '.htaccess'];

    public function __construct()
    {
        parent::__construct('file/unused', Weight::Tidy, ProofMark::Look, 'Nothing refers to a file.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $used = [];
        foreach ($reading->references() as $reference) {
            $used[$reference->target->meant() ?? $reference->target->candidates[0] ?? ''] = true;
        }
        foreach ($reading->site->ownFiles() as $path => $file) {
            $path = (string) $path;
            if (isset($used[$path]) || trim($file->bytes) === '' || $file->kind() === FileKind::Page || in_array(strtolower($path), self::ALWAYS, true) || DoubleExtension::meant($path) !== null) {
                continue;
            }
            yield $this->about($path, $file, "Nothing refers to {$path}.", 'Use it, or take it out.');
        }
    }
}

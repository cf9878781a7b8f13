<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A parse error that no other rule explains better (HTML Standard, 13.2.2). Of several in one line the first is told: the others mostly follow from it. */
final readonly class ParseErrorFound extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/parse-error', Weight::Fault, ProofMark::Change, 'The markup breaks off or holds characters where the standard allows none.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        /** @var array<string, array{string, string}> $words */
        $words = require __DIR__.'/../../../data/parse-errors.php';
        foreach ($reading->pages as $page) {
            $lines = [];
            foreach ($page->document->errors as $error) {
                $line = $page->file->position($error->offset)->line;
                if (! isset($words[$error->code]) || isset($lines[$line])) {
                    continue;
                }
                $lines[$line] = true;
                [$message, $remedy] = $words[$error->code];
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    new Span($error->offset, min($error->offset + 1, strlen($page->file->bytes))),
                    "{$message} ({$error->code})",
                    $remedy,
                    $error->code,
                );
            }
        }
    }
}

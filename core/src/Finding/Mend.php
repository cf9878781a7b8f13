<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** The exact remedy of a finding: one change or several, which belong together. */
final readonly class Mend
{
    /** @param  list<Edit>  $edits */
    public function __construct(public array $edits)
    {
    }

    public static function of(Edit ...$edits): self
    {
        return new self(array_values($edits));
    }

    /** A stretch replaced by a text; null where nobody can tell by which. */
    public static function replacing(SourceFile $source, Span $span, ?string $text): ?self
    {
        return $text === null ? null : self::of(new Edit($source, $span, $text));
    }

    /**
     * The files with the changes made.
     *
     * @param  array<string, string>  $files  bytes by path
     * @return array<string, string>
     */
    public function applyTo(array $files): array
    {
        $edits = $this->edits;
        // From the end to the start, so that offsets that are still to be used stay right.
        usort(
            $edits,
            fn (Edit $a, Edit $b) => [
                $b->inFile()->start,
                $b->inFile()->end,
            ] <=> [$a->inFile()->start, $a->inFile()->end],
        );
        foreach ($edits as $edit) {
            $span = $edit->inFile();
            $path = $edit->source->path;
            $files[$path] = substr_replace($files[$path], $edit->text, $span->start, $span->length());
        }

        return $files;
    }
}

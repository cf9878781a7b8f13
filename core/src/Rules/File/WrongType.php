<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\FileType;

/** A file whose bytes are of another kind than its extension (MIME Sniffing Standard, section 6). A page in UTF-16 is a finding of `markup/encoding`. */
final readonly class WrongType extends Rule
{
    public function __construct()
    {
        parent::__construct('file/wrong-type', Weight::Fault, ProofMark::Change, 'The bytes of a file are not what its extension says.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->site->ownFiles() as $path => $file) {
            $type = FileType::of($file->bytes);
            if ($file->bytes === '' || $type->suits($file->extension())) {
                continue;
            }
            $extension = $type->extension();
            yield $this->about(
                (string) $path,
                $file,
                "{$file->name()} is called .{$file->extension()}, and its content is {$type->value}.",
                match (true) {
                    $extension !== null => "Save it as .{$file->extension()} in a picture program, or call it ".pathinfo($file->name(), PATHINFO_FILENAME).".{$extension} and change the links to it.",
                    $file->kind() === FileKind::Page => 'Write the page in a plain text editor, and save it as plain text with the encoding UTF-8.',
                    default => 'Make the file again in the program that it is for.',
                },
            );
        }
    }
}

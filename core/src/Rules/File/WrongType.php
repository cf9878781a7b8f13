<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\FileType;
use InkedMargin\Core\Source\SourceFile;

/**
 * A file whose bytes are of another kind than its extension (MIME Sniffing Standard, section 6), or a page that is no
 * page: plain text, or what a word processor wrote. A page in UTF-16 is a finding of `markup/encoding`.
 */
final readonly class WrongType extends Rule
{
    /** What word processors write into the pages that they save, and nobody types. */
    private const WORD_PROCESSOR = '/urn:schemas-microsoft-com:office|class="?Mso[A-Z]|<meta[^>]*(?:name="?generator"?[^>]*content="?(?:Microsoft Word|LibreOffice|OpenOffice|Apple Pages|Cocoa HTML Writer)|content="?(?:Microsoft Word|LibreOffice|OpenOffice|Cocoa HTML Writer)[^>]*name="?generator)/i';

    /** Bytes that are looked at for the above. */
    private const START = 20_000;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/wrong-type',
            'Wrong file type',
            Weight::Fault,
            ProofMark::Change,
            'A file is not what its extension says.',
            'Servers and browsers go by the extension. A file that is something else inside may open '
                .'on your computer and nowhere else.',
            Citation::standard(
                'MIME Sniffing Standard',
                'Matching an image type pattern',
                'https://mimesniff.spec.whatwg.org/#matching-an-image-type-pattern',
            ),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->files->ownFiles() as $file) {
            $type = FileType::of($file->bytes);
            if ($type === FileType::WordProcessorHtml && $file->kind() === FileKind::Page) {
                yield $this->wordProcessor($file);
            } elseif ($file->bytes !== '' && ! $type->suits($file->extension())) {
                yield $this->wrong($file, $type);
            } else {
                yield from $this->noPage($file, $exam->site->page($file->path));
            }
        }
    }

    private function wrong(SourceFile $file, FileType $type): Draft
    {
        $extension = $type->extension();
        $stem = pathinfo($file->name(), PATHINFO_FILENAME);

        return Draft::aboutFile($file->path, $file)
            ->says("`{$file->name()}` is named `.{$file->extension()}`, but its content is {$type->value}.")
            ->remedy(match (true) {
                $extension !== null => "Rename it to `$stem.$extension` and change the links to it, or save it as "
                    ."`.{$file->extension()}` in an image editor.",
                $file->kind() === FileKind::Page => 'Write the page in a plain text editor, and save it as plain text '
                    .'in UTF-8.',
                default => 'Save the file again from the program that it is for.',
            });
    }

    /** @return iterable<Draft> */
    private function noPage(SourceFile $file, ?Page $page): iterable
    {
        if ($page === null || trim(substr($file->bytes, 0, self::START)) === '') {
            return;
        }
        if (! $page->hasMarkup()) {
            yield Draft::aboutFile($file->path, $file)
                ->variant('text')
                ->says("`{$file->name()}` has no HTML tags in it; it is plain text.")
                ->remedy('Write the page with tags, starting with `<!DOCTYPE html>`.');
        } elseif (preg_match(self::WORD_PROCESSOR, substr($page->file->bytes, 0, self::START)) === 1) {
            yield $this->wordProcessor($file);
        }
    }

    private function wordProcessor(SourceFile $file): Draft
    {
        return Draft::aboutFile($file->path, $file)
            ->variant('word-processor')
            ->says("`{$file->name()}` was saved from a word processor, which writes markup that nobody can maintain.")
            ->remedy('Write the page yourself in a plain text editor.');
    }
}

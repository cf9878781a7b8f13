<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\TextGroups;
use InkedMargin\Core\Source\TextMap;

/** A file that no page and no stylesheet uses. Common practice. */
final readonly class Unused extends Rule implements ComparesFiles
{
    /** Files that browsers, crawlers, servers and people look for by their name. */
    private const ALWAYS = '~^(?:favicon\.[a-z]+|robots\.txt|sitemap\.xml|humans\.txt|readme(?:\.[a-z]+)?|licen[cs]e(?:\.[a-z]+)?|cname|credits(?:\.[a-z]+)?|apple-touch-icon.*|.*\.webmanifest|manifest\.json|package(?:-lock)?\.json|\..*)$~i';

    /** Files of one folder: more are told together. */
    private const MANY = 4;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/unused',
            'Unused file',
            Weight::Tidy,
            ProofMark::Look,
            'Nothing uses a file.',
            'Nobody ever sees a file that no page uses. Often a link to it was forgotten, or its name '
                .'is misspelt somewhere.',
            Citation::practice(),
            [
                'file/double-extension', 'file/unexpected', 'file/missing', 'link/missing-file',
                'style/not-on-page', 'file/empty', 'file/wrong-type', 'file/unreadable', 'style/none',
                'style/missing-rel',
            ],
        ));
    }

    public function check(Examination $exam): iterable
    {
        /** @var TextMap<true> $used */
        $used = new TextMap;
        /** @var TextGroups<SourceFile> $unused */
        $unused = new TextGroups;
        foreach ($exam->site->references() as $reference) {
            $target = $reference->target;
            $used->put($target->meant() ?? $target->candidates[0] ?? '', true);
        }
        foreach ($exam->site->files->ownFiles() as $file) {
            $isForPeople = preg_match(self::ALWAYS, $file->name()) === 1 || $this->isAskedFor($file->path, $exam);
            $isBlank = trim(substr($file->bytes, 0, 1_000)) === '';
            if (
                $used->has($file->path)
                || $file->kind() === FileKind::Page
                || $isBlank
                || $isForPeople
                || Site::isVendored($file->path)
            ) {
                continue;
            }
            $unused->add($file->folder(), $file);
        }
        foreach ($unused as $files) {
            yield from $this->inFolder($files);
        }
    }

    /**
     * @param  non-empty-list<SourceFile>  $files  of one folder: many are told together
     * @return iterable<Draft>
     */
    private function inFolder(array $files): iterable
    {
        $shown = count($files) > self::MANY ? [$files[0]] : $files;
        $others = count($files) - count($shown);
        foreach ($shown as $file) {
            yield Draft::aboutFile($file->path, $file)
                ->says("Nothing in the site uses `{$file->path}`"
                    .($others === 0 ? '.' : ", nor $others other files in its folder."))
                ->remedy('Link to it or show it on a page, or remove it.');
        }
    }

    private function isAskedFor(string $path, Examination $exam): bool
    {
        foreach ($exam->brief->ofKind(Files::class) as $requirement) {
            if (in_array($path, $requirement->names, true)) {
                return true;
            }
        }

        return false;
    }
}

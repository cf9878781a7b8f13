<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\TextMap;

/** A picture of more than a million bytes, told where it is first shown. Common practice. */
final readonly class HeavyPicture extends Rule
{
    /** Bytes. */
    private const HEAVY = 1_000_000;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/heavy-picture',
            'Heavy picture',
            Weight::Tidy,
            ProofMark::Change,
            'A picture is larger than a megabyte.',
            'On a slow connection a large file takes many seconds to load. People leave before they '
                .'see it.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        /** @var TextMap<true> $seen */
        $seen = new TextMap;
        foreach ($exam->site->references() as $reference) {
            $isPicture = $reference->kind === ReferenceKind::Picture || $reference->kind === ReferenceKind::Style;
            $path = $isPicture ? $reference->target->found : null;
            $file = $path === null || $seen->has($path) ? null : $exam->site->files->file($path);
            if ($file === null || $file->kind() !== FileKind::Picture || strlen($file->bytes) <= self::HEAVY) {
                continue;
            }
            $seen->put($file->path, true);
            $size = number_format(strlen($file->bytes) / 1_000_000, 1);
            yield Draft::atAddress($reference)
                ->anchored('#heavy')
                ->says("`$path` is $size MB, which loads slowly on a phone.")
                ->remedy('Save it smaller, or as a JPEG with lower quality.');
        }
    }
}

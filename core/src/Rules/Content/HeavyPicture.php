<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\FileKind;

/** A picture of more than a million bytes, told where it is first shown. Common practice. */
final readonly class HeavyPicture extends Rule
{
    /** Bytes. */
    private const HEAVY = 1_000_000;

    public function __construct()
    {
        parent::__construct('content/heavy-picture', Weight::Tidy, ProofMark::Change, 'A picture is larger than a megabyte.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $told = [];
        foreach ($reading->references() as $reference) {
            $path = $reference->kind === ReferenceKind::Picture || $reference->kind === ReferenceKind::Style ? $reference->target->found : null;
            $file = $path === null || isset($told[$path]) ? null : $reading->site->file($path);
            if ($file === null || $file->kind() !== FileKind::Picture || strlen($file->bytes) <= self::HEAVY) {
                continue;
            }
            $told[$path] = true;
            $size = number_format(strlen($file->bytes) / 1_000_000, 1);
            yield $this->finding($reference->from->path, $reference->from, $reference->span, "{$path} weighs {$size} MB. On a telephone it comes slowly.", 'Save it smaller, or as a JPEG with a lower quality.', $reference->anchor().'#heavy');
        }
    }
}

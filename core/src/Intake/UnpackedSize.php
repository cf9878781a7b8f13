<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Utf8;
use ZipArchive;

/**
 * How large an archive is when it is unpacked, held against its limits: once as the archive says it, before anything is
 * unpacked, and again as the bytes come out, as what an archive says of itself is not trusted. Sizes in bytes.
 */
final class UnpackedSize
{
    private int $total = 0;

    /**
     * @param  string  $name  of the archive, for messages
     * @param  int  $packedBytes  size of the archive
     */
    public function __construct(
        private readonly Limits $limits,
        private readonly string $name,
        private readonly int $packedBytes,
    ) {
    }

    /** @throws Refusal that names the entry, where it is one that is too large */
    public function refuseDeclared(ZipArchive $zip): void
    {
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $entry = $zip->statIndex($index);
            if ($entry !== false) {
                $path = Utf8::scrub($entry['name']);
                $this->refuseEntry($path, $entry['size'], $entry['comp_size'], '');
            }
        }
        $this->refuseSum(self::declared($zip));
    }

    /**
     * @param  int  $total  unpacked bytes, of the archive or of the archives in it
     *
     * @throws Refusal
     */
    public function refuseSum(int $total): void
    {
        if ($total > $this->limits->totalBytes) {
            throw $this->tooLarge(English::bytes($total));
        }
        $this->refuseRatio("\"$this->name\"", $total, $this->packedBytes);
    }

    /**
     * What all entries of an archive come to, as it says.
     *
     * @param  string  $folder  '' for all of them
     */
    public static function declared(ZipArchive $zip, string $folder = ''): int
    {
        $total = 0;
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $entry = $zip->statIndex($index);
            $size = $entry !== false && str_starts_with($entry['name'], $folder) ? $entry['size'] : 0;
            // What is larger than any limit is not added up: sums of such numbers have no end.
            $total += min(max(0, $size), intdiv(PHP_INT_MAX, 2 * $zip->numFiles));
        }

        return $total;
    }

    /**
     * Counts bytes that came out of an entry.
     *
     * @param  int  $bytes  more than before
     * @param  int  $ofEntry  that came out of the entry in all
     * @param  int  $packedBytes  of the entry in the archive
     *
     * @throws Refusal
     */
    public function add(int $bytes, string $path, int $ofEntry, int $packedBytes): void
    {
        $this->total += $bytes;
        $this->refuseEntry($path, $ofEntry, $packedBytes, 'more than ');
        if ($this->total > $this->limits->totalBytes) {
            throw $this->tooLarge('more than '.English::bytes($this->limits->totalBytes));
        }
        $this->refuseRatio("\"$this->name\"", $this->total, $this->packedBytes);
    }

    /**
     * @param  string  $about  before a size that is not known to the end
     *
     * @throws Refusal
     */
    private function refuseEntry(string $path, int $bytes, int $packedBytes, string $about): void
    {
        if ($bytes > $this->limits->fileBytes) {
            $most = English::bytes($this->limits->fileBytes);
            $size = $about === '' ? English::bytes($bytes) : $about.$most;
            throw new Refusal(
                RefusalReason::FileTooLarge,
                "The entry \"$path\" has $size; $most is the most for one file.",
            );
        }
        $this->refuseRatio("The entry \"$path\"", $bytes, $packedBytes);
    }

    /**
     * @param  string  $what  begins the sentence
     *
     * @throws Refusal
     */
    private function refuseRatio(string $what, int $bytes, int $packedBytes): void
    {
        if ($bytes <= $this->limits->ratioFrom || $bytes <= $this->limits->ratio * max(1, $packedBytes)) {
            return;
        }
        $times = round($bytes / max(1, $packedBytes));
        throw new Refusal(
            RefusalReason::Ratio,
            "$what unpacks from ".English::bytes($packedBytes).' to '.English::bytes($bytes).", $times times its "
                ."size. {$this->limits->ratio} times is the most.",
        );
    }

    private function tooLarge(string $size): Refusal
    {
        $most = English::bytes($this->limits->totalBytes);

        return new Refusal(
            RefusalReason::TotalTooLarge,
            "Unpacked, \"$this->name\" has $size; $most is the most. Remove what does not belong to the site.",
        );
    }
}

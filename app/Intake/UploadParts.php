<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Upload;
use App\Storage\BlobStore;
use App\Storage\StoreFailure;
use Illuminate\Support\Facades\DB;

/** Puts files together that come in parts, so that a dropped connection costs one part and not the whole. */
final readonly class UploadParts
{
    /** Bytes of one part at most. */
    public const LONGEST = 8_000_000;

    public function __construct(private BlobStore $blobs)
    {
    }

    /**
     * Puts a part behind those that are there.
     *
     * @param  int  $offset  bytes that the sender believes to be there; a part that is there already is passed over
     * @return int bytes that are there now
     *
     * @throws StoreFailure when the disk does not take it whole
     */
    public function add(Upload $upload, int $offset, string $part): int
    {
        return DB::transaction(function () use ($upload, $offset, $part): int {
            $upload = Upload::query()->whereKey($upload->id)->lockForUpdate()->firstOrFail();
            if ($offset !== $upload->received || $part === '') {
                return $upload->received;
            }
            abort_if($offset + strlen($part) > $upload->bytes, 422, 'More came than the file has. Send it again.');
            $path = Upload::path($upload->id);
            @mkdir(dirname($path), 0o700, true);
            $file = @fopen($path, 'c');
            $isKept = $file !== false
                && fseek($file, $offset) === 0
                && @fwrite($file, $part) === strlen($part)
                && fclose($file);
            if (! $isKept) {
                if ($offset === 0) {
                    @unlink($path);
                }
                throw new StoreFailure(
                    'The server could not keep a part of the file; its disk may be full. Try again later.',
                );
            }
            $upload->update(['received' => $offset + strlen($part), 'last_part_at' => now()]);

            return $upload->received;
        });
    }

    /**
     * Keeps a whole file among the others; the upload is over.
     *
     * @return string the SHA-256 it is kept under
     *
     * @throws StoreFailure
     */
    public function finish(Upload $upload): string
    {
        abort_unless($upload->isWhole(), 422, 'Not all of the file has arrived. Send the rest.');
        $path = Upload::path($upload->id);
        if (! is_file($path) || filesize($path) !== $upload->bytes) {
            throw new StoreFailure('The server has lost a part of the file. Send it again.');
        }
        $sha256 = $this->blobs->putFile($path);
        @unlink($path);

        return $sha256;
    }
}

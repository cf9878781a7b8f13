<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\Finding;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Models\Remark;
use App\Models\RemarkKind;
use App\Outcomes\RecountOutcomes;
use App\Storage\BlobStore;
use Illuminate\Support\Str;

/** Writes down what an instructor decides, in words of its own. */
final readonly class Ink
{
    public function __construct(private BlobStore $blobs)
    {
    }

    /**
     * Inks a finding or rubs it out. One that no run reports any more can still change from one to the other.
     *
     * @return bool false when the hand-in has no such finding, and never had
     */
    public function decide(HandIn $handIn, string $fingerprint, RemarkKind $kind, ?string $reason, string $user): bool
    {
        $known = $handIn->remarks()->where('fingerprint', $fingerprint)->first();
        $finding = $handIn->run?->findings()->where('fingerprint', $fingerprint)->first();
        if ($known === null && $finding === null) {
            return false;
        }
        $wasRubbedOut = $known?->kind === RemarkKind::RubbedOut;
        $decision = ['kind' => $kind, 'reason' => $reason, 'user_id' => $user, 'placed' => true];
        // Two desks may decide at the same moment: then the later one counts.
        $known ??= $handIn->remarks()->createOrFirst(
            ['fingerprint' => $fingerprint],
            $decision + $this->copy($handIn, $finding),
        );
        if (! $known->wasRecentlyCreated) {
            $known->update($decision + ['version' => $known->version + 1]);
        }
        // What is rubbed out costs nothing; what comes back costs again.
        if ($wasRubbedOut !== ($kind === RemarkKind::RubbedOut)) {
            RecountOutcomes::of([$handIn->id]);
        }

        return true;
    }

    /** Leaves a finding in pencil again. */
    public function forget(HandIn $handIn, string $fingerprint): void
    {
        $known = $handIn->remarks()->where('fingerprint', $fingerprint)->first();
        $known?->delete();
        if ($known?->kind === RemarkKind::RubbedOut) {
            RecountOutcomes::of([$handIn->id]);
        }
    }

    /**
     * What the instructor wrote, with the words of the line it is about.
     *
     * @param  array{body: string, kind: RemarkKind, file?: string|null, line?: int|null, endLine?: int|null,
     *     id?: string|null}  $written
     */
    public function write(HandIn $handIn, array $written, string $user): Remark
    {
        $file = $written['file'] ?? null;
        $line = $written['line'] ?? null;
        $bytes = $file === null || $line === null ? null : $this->bytes($handIn, $file);

        return $handIn->remarks()->create([
            'id' => $written['id'] ?? (string) Str::uuid7(),
            'user_id' => $user,
            'kind' => $written['kind'],
            'body' => $written['body'],
            'file' => $file,
            'line' => $line,
            'end_line' => $written['endLine'] ?? null,
            'excerpt' => $bytes === null || $line === null ? null : Excerpt::ofLine($bytes, $line),
        ]);
    }

    /**
     * The words and the place of a finding, to be kept whatever becomes of its run.
     *
     * @param  string|null  $bytes  of its file; null where it is about all of it, or the file is not there
     * @return array<string, mixed>
     */
    public static function words(Finding $finding, ?string $bytes): array
    {
        return [
            'body' => $finding->message,
            'remedy' => $finding->remedy,
            'rule' => $finding->rule,
            'variant' => $finding->variant,
            'weight' => $finding->weight,
            'mark' => $finding->mark,
            'requirement' => $finding->requirement,
            ...$finding->place(),
            'excerpt' => $bytes === null
                ? null
                : Excerpt::between($bytes, $finding->start_offset, $finding->end_offset),
        ];
    }

    /** @return array<string, mixed> */
    private function copy(HandIn $handIn, Finding $finding): array
    {
        return self::words($finding, $finding->isAboutWholeFile() ? null : $this->bytes($handIn, $finding->file));
    }

    private function bytes(HandIn $handIn, string $path): ?string
    {
        /** @var HandInFile|null $file */
        $file = $handIn->files()->where('path', $path)->first();

        return $file === null ? null : $this->blobs->get($file->sha256);
    }
}

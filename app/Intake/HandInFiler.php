<?php

declare(strict_types=1);

namespace App\Intake;

use App\Checks\CheckHandIn;
use App\Feedback\DeskStamp;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\Student;
use App\Sites\CountedAttempt;
use App\Sites\Space;
use App\Storage\BlobStore;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Source\SourceFile;

/** Files what a student gave as the next attempt, and has it checked. All of it or nothing. */
final readonly class HandInFiler
{
    public function __construct(private BlobStore $blobs)
    {
    }

    /**
     * @param  \Closure(): bool|null  $isWanted  asked once the student is locked; nothing is filed where it says no
     * @return array{HandIn, bool}|null the hand-in, and whether it was there already; null where it was not wanted
     *
     * @throws Refusal where there is no space for it
     */
    public function file(ReceivedSite $received, ?\Closure $isWanted = null): ?array
    {
        $bytes = array_map(fn (SourceFile $file) => $file->bytes, $received->site->files());
        if (! self::isThere($received)) {
            Space::admitSite($received->assignment, $received->student, $received->site->size());
        }
        $hashes = $this->blobs->putAll($bytes);
        $files = [];
        foreach ($bytes as $path => $content) {
            $files[] = ['path' => (string) $path, 'sha256' => $hashes[$path], 'bytes' => strlen($content)];
        }

        return DB::transaction(function () use ($received, $files, $isWanted): ?array {
            // So that two at once become two attempts.
            Student::query()->whereKey($received->student->id)->lockForUpdate()->firstOrFail();
            if ($isWanted !== null && ! $isWanted()) {
                return null;
            }
            $earlier = HandIn::query()->where('assignment_id', $received->assignment->id)
                ->where('student_id', $received->student->id)->get();
            $same = $earlier->firstWhere('archive_sha256', $received->sha256);
            if ($same !== null) {
                return [$same, true];
            }
            $handIn = HandIn::query()->create([
                'assignment_id' => $received->assignment->id,
                'student_id' => $received->student->id,
                'attempt' => $earlier->reduce(fn (int $most, HandIn $one) => max($most, $one->attempt), 0) + 1,
                'archive_name' => $received->archiveName,
                'archive_sha256' => $received->sha256,
                'site_name' => $received->site->name,
                'folders' => $received->site->packing->folders,
                'arrived_at' => $received->arrivedAt,
                'covering_note' => $received->coveringNote,
                'address' => $received->address,
                'served' => $received->fetched?->served,
                'cut' => $received->fetched->isCut ?? false,
            ]);
            foreach (array_chunk($files, 500) as $chunk) {
                DB::table('hand_in_files')->insert(
                    array_map(fn (array $file) => ['hand_in_id' => $handIn->id] + $file, $chunk),
                );
            }
            // Whoever reads an earlier one is to know that there is another.
            DeskStamp::mark(array_values($earlier->map(fn (HandIn $one) => $one->id)->all()), 'in-tray');
            CountedAttempt::settle($received->assignment, $received->student->id);
            // Whoever sees that it was taken sees its check too, and waits for it.
            self::check($handIn, $received->assignment);

            return [$handIn, false];
        });
    }

    /** The same again takes no space. */
    private static function isThere(ReceivedSite $received): bool
    {
        return HandIn::query()->where('assignment_id', $received->assignment->id)
            ->where('student_id', $received->student->id)->where('archive_sha256', $received->sha256)->exists();
    }

    public static function check(HandIn $handIn, Assignment $assignment): void
    {
        $brief = $assignment->brief()->first();
        if ($brief !== null) {
            CheckHandIn::request($handIn, $brief);
        }
    }
}

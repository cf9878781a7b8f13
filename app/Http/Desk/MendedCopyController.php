<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\MendedCheck;
use App\Feedback\MendedReport;
use App\Feedback\MendedText;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\MendedCopy;
use App\Models\MendedStep;
use App\Storage\BlobStore;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Source\SourceFile;

/** Files as the instructor would have them. What the student handed in is never changed. */
final class MendedCopyController extends Controller
{
    public function __construct(private readonly BlobStore $blobs)
    {
    }

    public function show(HandIn $handIn, string $path): MendedCopyView
    {
        $copy = $this->copy($handIn, $path);

        return $this->view($this->file($handIn, $path), $copy, $copy?->steps->last());
    }

    /** Keeps it as it is now: another step, which can be gone back from. */
    public function update(MendRequest $request, HandIn $handIn, string $path): MendedCopyView
    {
        $file = $this->file($handIn, $path);
        $refusal = MendedText::refusal($file);
        abort_if($refusal !== null, 422, (string) $refusal);
        // Of two that differ in line ends alone, the original is meant.
        $text = $request->text() === MendedText::of($file->bytes) ? $file->bytes : $request->text();
        $sha256 = $this->blobs->put($text);
        $user = self::user($request)->id;
        DB::transaction(function () use ($request, $handIn, $path, $sha256, $user): void {
            HandIn::query()->whereKey($handIn->id)->lockForUpdate()->firstOrFail();
            $copy = $handIn->mendedCopies()->firstOrCreate(['path' => $path]);
            $last = $copy->steps()->reorder('number', 'desc')->first();
            // Sent twice because an answer was lost, it is one step all the same.
            if ($last?->sha256 === $sha256) {
                return;
            }
            $number = $last->number ?? 0;
            abort_if(
                $request->filled('after') && $request->integer('after') !== $number,
                409,
                'Somebody has mended this page since you opened it. Theirs is kept; yours is still in the box.',
            );
            $copy->steps()->create([
                'number' => $number + 1, 'sha256' => $sha256, 'words' => $request->words(), 'user_id' => $user,
            ]);
        });

        $copy = $this->copy($handIn, $path);

        return $this->view($file, $copy, $copy?->steps->last());
    }

    /** What the check says of it. Nothing is kept. */
    public function check(MendRequest $request, HandIn $handIn, string $path, MendedReport $reports): MendedCheck
    {
        return $reports->of($handIn->load(['run.brief.files', 'files', 'student']), $path, $request->text());
    }

    /** Whether the student gets it, and whether the other pages should follow it. */
    public function use(MendedUseRequest $request, HandIn $handIn, string $path): void
    {
        $copy = $this->copy($handIn, $path) ?? abort(404, 'There is no mended copy of this page yet.');
        $copy->update(['in_reply' => $request->boolean('inReply'), 'follow' => $request->boolean('follow')]);
    }

    public function step(HandIn $handIn, string $number, string $path): MendedCopyView
    {
        $copy = $this->copy($handIn, $path);
        $step = $copy?->steps->firstWhere('number', (int) $number);
        abort_if((int) $number !== 0 && $step === null, 404, 'There is no such step.');

        return $this->view($this->file($handIn, $path), $copy, $step);
    }

    /** @param  MendedStep|null  $step  as it was then; null for the original */
    private function view(SourceFile $file, ?MendedCopy $copy, ?MendedStep $step): MendedCopyView
    {
        $refusal = MendedText::refusal($file);
        $original = $refusal === null ? MendedText::of($file->bytes) : '';

        return new MendedCopyView(
            $file->path,
            $refusal,
            $original,
            $refusal !== null || $step === null ? $original : MendedText::of($this->blobs->get($step->sha256)),
            $copy->in_reply ?? false,
            $copy->follow ?? false,
            array_values($copy?->steps->map(MendedStepLine::of(...))->all() ?? []),
        );
    }

    private function file(HandIn $handIn, string $path): SourceFile
    {
        $file = $handIn->files()->where('path', $path)->first() ?? abort(404, 'There is no such file in this hand-in.');

        return new SourceFile($path, $this->blobs->get($file->sha256));
    }

    private function copy(HandIn $handIn, string $path): ?MendedCopy
    {
        return $handIn->mendedCopies()->with('steps.user')->where('path', $path)->first();
    }
}

<?php

declare(strict_types=1);

namespace App\Records;

use App\Storage\SharedDisk;
use Illuminate\Support\Facades\Cache;

/** Records that were written by the queue, and wait to be taken along. */
final readonly class PreparedRecords
{
    private const FOLDER = 'records';

    /** They are kept for so long. */
    private const HOURS = 24;

    private function __construct(private Scope $scope)
    {
    }

    public static function of(Scope $scope): self
    {
        return new self($scope);
    }

    public function ask(): void
    {
        $this->tell(RecordsState::Waiting);
        WriteRecords::dispatch($this->scope->course->id, $this->scope->student?->id);
    }

    public function tell(RecordsState $state, int $done = 0, int $of = 0): void
    {
        Cache::put(
            $this->scope->key(),
            ['state' => $state->value, 'done' => $done, 'of' => $of],
            now()->addHours(self::HOURS),
        );
    }

    /** @return array{state: value-of<RecordsState>, done: int, of: int}|null null where nobody has asked */
    public function progress(): ?array
    {
        /** @var array{state: value-of<RecordsState>, done: int, of: int}|null $told */
        $told = Cache::get($this->scope->key());

        // What was pruned is asked for anew.
        $isPruned = ($told['state'] ?? null) === RecordsState::Ready->value
            && ! SharedDisk::get()->exists($this->path());

        return $isPruned ? null : $told;
    }

    /** @param  string  $file  on this machine */
    public function keep(string $file): void
    {
        $stream = fopen($file, 'rb');
        SharedDisk::get()->put(
            $this->path(),
            $stream === false ? throw new RecordsError('The records are gone.') : $stream,
        );
    }

    public function forget(): void
    {
        SharedDisk::get()->delete($this->path());
        Cache::forget($this->scope->key());
    }

    public function path(): string
    {
        return self::FOLDER.'/'.$this->scope->key().'.zip';
    }

    /** Deletes what lay there for long: they are full of names. */
    public static function prune(): void
    {
        SharedDisk::prune(self::FOLDER, self::HOURS);
    }
}

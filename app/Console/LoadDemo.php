<?php

declare(strict_types=1);

namespace App\Console;

use App\Intake\BlobStore;
use App\Jobs\UnpackArrival;
use App\Models\Assignment;
use App\Models\Course;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\File;
use Symfony\Component\Yaml\Yaml;
use ZipArchive;

/**
 * Loads the demo course: every hand-in is zipped and goes through the same intake as one that is dropped.
 *
 * @phpstan-type Arrivals list<array{from: string, name?: string, at: float|int}>
 */
final class LoadDemo extends Command
{
    protected $signature = 'demo:load {--if-empty : do nothing when there is a course already}';

    protected $description = 'Load the demo course of demo/course.yaml';

    public function handle(BlobStore $blobs): int
    {
        if ($this->option('if-empty') && Course::query()->exists()) {
            return self::SUCCESS;
        }
        /** @var array{school: string, title: string, term: string, instructor: array{name: string, email: string, password: string}, students: array<string, string>, assignments: array<string, array{title: string, summary: string, due: float|int, arrivals: Arrivals}>} $demo */
        $demo = Yaml::parseFile(base_path('demo/course.yaml'));
        $course = Course::query()->create(['school' => $demo['school'], 'title' => $demo['title'], 'term' => $demo['term']]);
        $instructor = User::query()->firstOrCreate(['email' => $demo['instructor']['email']], $demo['instructor']);
        $course->users()->attach($instructor, ['role' => 'instructor']);
        foreach ($demo['students'] as $handle => $name) {
            $course->students()->create(['handle' => $handle, 'name' => $name]);
        }
        foreach ($demo['assignments'] as $folder => $set) {
            $assignment = $course->assignments()->create([
                'title' => $set['title'],
                'summary' => $set['summary'],
                'due_at' => self::day($set['due'])->endOfDay()->startOfSecond(),
            ]);
            $assignment->briefs()->create(['version' => 1, 'source' => File::get(base_path("demo/briefs/$folder.yaml"))]);
            $this->handIn($assignment, $folder, $set['arrivals'], $blobs);
        }

        return self::SUCCESS;
    }

    /** @param  Arrivals  $arrivals */
    private function handIn(Assignment $assignment, string $folder, array $arrivals, BlobStore $blobs): void
    {
        foreach ($arrivals as $from) {
            $path = base_path("demo/hand-ins/$folder/{$from['from']}");
            $arrival = $assignment->arrivals()->create([
                'name' => $from['name'] ?? (is_dir($path) ? $from['from'].'.zip' : $from['from']),
                'sha256' => $blobs->put(is_dir($path) ? self::zip($path) : File::get($path)),
                'state' => 'waiting',
                'arrived_at' => self::day($from['at']),
            ]);
            UnpackArrival::dispatch($arrival->id);
        }
    }

    private static function zip(string $folder): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'demo');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach (File::allFiles($folder, hidden: true) as $file) {
            $zip->addFile($file->getPathname(), $file->getRelativePathname());
        }
        $zip->close();
        $bytes = File::get($path);
        unlink($path);

        return $bytes;
    }

    private static function day(float|int $days): Carbon
    {
        return Carbon::now()->addMinutes((int) round($days * 24 * 60));
    }
}

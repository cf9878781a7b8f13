<?php

declare(strict_types=1);

namespace App\Console;

use App\Courses\WallClock;
use App\Intake\FetchSite;
use App\Intake\UnpackArrival;
use App\Models\Assignment;
use App\Models\Course;
use App\Models\MaterialRole;
use App\Models\StudentsSee;
use App\Models\User;
use App\Sites\MaterialStore;
use App\Storage\BlobStore;
use App\Storage\SiteZip;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use InkedMargin\Core\Intake\FolderReader;
use Symfony\Component\Yaml\Yaml;

/**
 * Opens a course as a YAML file describes it: who teaches it, the roster, the assignments with their briefs, and (as in
 * the demo) what was handed in already, which goes through the same intake as a zip that is dropped.
 *
 * @phpstan-type Arrivals list<array{from: string, without?: string, name?: string,
 *     at: float|int}|array{class: list<string>, name: string, at: float|int}|array{address: string, of: string,
 *     note?: string, at: float|int}>
 * @phpstan-type Work array{title: string, summary?: string, due?: float|int|string, attempts?: int, see?: string,
 *     arrivals?: Arrivals}
 * @phpstan-type Set array{school: string, title: string, term: string, time_zone?: string,
 *     instructor: array{name: string, email: string, password?: string}, students: array<string, string>,
 *     assignments: array<string, Work>}
 */
final class OpenCourse extends Command
{
    protected $signature = 'course:open {file=demo/course.yaml} {--if-empty : do nothing when there is a course '
        .'already}';

    protected $description = 'Open a course: instructor, roster, assignments and briefs, from a YAML file';

    /** Folders beside the course's file, with a folder in it for each assignment. */
    private const MATERIALS = [
        'starters' => MaterialRole::Starter,
        'models' => MaterialRole::Model,
        'copy' => MaterialRole::Copy,
        'sheets' => MaterialRole::Sheets,
    ];

    public function handle(BlobStore $blobs, MaterialStore $materials): int
    {
        if ($this->option('if-empty') && Course::query()->exists()) {
            return self::SUCCESS;
        }
        $file = realpath((string) $this->argument('file'));
        if ($file === false) {
            $this->error("There is no file {$this->argument('file')}.");

            return self::FAILURE;
        }
        /** @var Set $set */
        $set = Yaml::parseFile($file);
        DB::transaction(fn () => $this->open($set, dirname($file), $blobs, $materials));

        return self::SUCCESS;
    }

    /** @param  Set  $set */
    private function open(array $set, string $folder, BlobStore $blobs, MaterialStore $materials): void
    {
        $course = Course::query()->create([
            'school' => $set['school'],
            'title' => $set['title'],
            'term' => $set['term'],
            'time_zone' => $set['time_zone'] ?? 'UTC',
        ]);
        $course->users()->attach($this->instructor($set['instructor']), ['role' => 'instructor']);
        foreach ($set['students'] as $handle => $name) {
            $course->students()->create(['handle' => $handle, 'name' => $name]);
        }
        foreach ($set['assignments'] as $key => $work) {
            $due = $work['due'] ?? null;
            $dueAt = is_string($due)
                ? Carbon::parse($due, $course->time_zone)->utc()
                : ($due === null ? null : self::day($due)->endOfDay()->startOfSecond());
            if ($dueAt !== null && ! WallClock::isInRange($dueAt)) {
                throw new \RuntimeException("“{$work['title']}” is due in a year that is not from "
                    .WallClock::FIRST_YEAR.' to '.WallClock::LAST_YEAR.'. Nothing was made.');
            }
            $assignment = $course->assignments()->create([
                'title' => $work['title'],
                'summary' => $work['summary'] ?? '',
                'most_attempts' => $work['attempts'] ?? null,
                'students_see' => StudentsSee::from($work['see'] ?? 'nothing'),
                'due_at' => $dueAt,
            ]);
            foreach (self::MATERIALS as $place => $role) {
                if (is_dir("$folder/$place/$key")) {
                    $materials->put($assignment, $role, (new FolderReader)->read("$folder/$place/$key"));
                }
            }
            if (File::exists("$folder/briefs/$key.yaml")) {
                MaterialStore::nextBrief($assignment, File::get("$folder/briefs/$key.yaml"));
            }
            $this->handIn($assignment, "$folder/hand-ins/$key", $work['arrivals'] ?? [], $blobs);
        }
    }

    /** @param  array{name: string, email: string, password?: string}  $who */
    private function instructor(array $who): User
    {
        $known = User::query()->where('email', $who['email'])->first();
        if ($known !== null) {
            return $known;
        }
        $password = $who['password'] ?? $this->secret("A password for {$who['email']}");
        $who['password'] = is_string($password) ? $password : '';

        return User::query()->create($who);
    }

    /** @param  Arrivals  $arrivals */
    private function handIn(Assignment $assignment, string $folder, array $arrivals, BlobStore $blobs): void
    {
        foreach ($arrivals as $from) {
            if (isset($from['address'])) {
                self::published($assignment, $from, $blobs);

                continue;
            }
            if (isset($from['class'])) {
                $files = self::filesIn(array_map(fn (string $one) => "$folder/$one", $from['class']));
                self::arrive($assignment, $from['name'], self::zip($files), $from['at'], $blobs);

                continue;
            }
            $path = "$folder/{$from['from']}";
            $files = is_dir($path) ? self::filesIn([$path]) : [];
            $files = array_filter(
                $files,
                fn (string $name) => substr($name, strpos($name, '/') + 1) !== ($from['without'] ?? ''),
            );
            // Of one student's folder, what is in it is packed.
            $packed = array_map(fn (string $name) => substr($name, strpos($name, '/') + 1), $files);
            self::arrive(
                $assignment,
                $from['name'] ?? ($files === [] ? $from['from'] : $from['from'].'.zip'),
                $files === [] ? File::get($path) : self::zip($packed),
                $from['at'],
                $blobs,
            );
        }
    }

    private static function arrive(
        Assignment $assignment,
        string $name,
        string $bytes,
        float|int $at,
        BlobStore $blobs,
    ): void {
        UnpackArrival::request(
            $assignment,
            ['name' => $name, 'sha256' => $blobs->put($bytes), 'arrived_at' => self::day($at)],
        );
    }

    /**
     * @param  list<string>  $folders
     * @return array<string, string> names in an archive of all of them, by the paths of the files
     */
    private static function filesIn(array $folders): array
    {
        $files = [];
        foreach ($folders as $folder) {
            foreach (File::allFiles($folder, hidden: true) as $file) {
                $files[$file->getPathname()] = basename($folder).'/'.$file->getRelativePathname();
            }
        }

        return $files;
    }

    /**
     * @param  array{address: string, of: string, note?: string, at: float|int}  $from  a site that the stand-in serves
     */
    private static function published(Assignment $assignment, array $from, BlobStore $blobs): void
    {
        $students = $assignment->course()->firstOrFail()->students();
        $student = $students->where('handle', $from['of'])->firstOrFail();
        FetchSite::request(
            $assignment,
            $student,
            $from['address'],
            $from['note'] ?? '',
            self::day($from['at']),
            $blobs,
        );
    }

    /** @param  array<string, string>  $files  names in the archive by path */
    private static function zip(array $files): string
    {
        return SiteZip::ofFiles(array_map(fn (string $path) => File::get($path), array_flip($files)));
    }

    private static function day(float|int $days): Carbon
    {
        return Carbon::now()->addMinutes((int) round($days * 24 * 60));
    }
}

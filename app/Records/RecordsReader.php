<?php

declare(strict_types=1);

namespace App\Records;

use App\Intake\BlobStore;
use App\Models\Course;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use ZipArchive;

/** Reads the records of a course into this installation: all of it or nothing. */
final readonly class RecordsReader
{
    /** Rows written at once. */
    private const CHUNK = 500;

    private const MOST_BYTES_OF_TABLE = 2_000_000_000;

    private const MOST_BYTES_OF_FILE = 200_000_000;

    public function __construct(private BlobStore $blobs)
    {
    }

    /**
     * @param  string  $path  of a zip that `RecordsWriter` made of a whole course
     * @param  User|null  $for  who brings it in, and teaches it from then on
     *
     * @throws RecordsError where it cannot be read, or the course is here already
     */
    public function read(string $path, ?User $for = null): Course
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new RecordsError('This is no zip, or it did not arrive whole. Nothing was changed.');
        }
        try {
            self::assertOurs($zip);
            $this->keepBytes($zip);

            return DB::transaction(function () use ($zip, $for): Course {
                DB::statement("set local time zone 'UTC'");
                $people = [];
                $written = [];
                foreach (Tables::all() as $table) {
                    $written[$table->name] = $this->table($table, $zip, $people);
                }
                $course = Course::query()->findOrFail(self::courseId($zip));
                self::assertItsOwn(Scope::course($course), $written);
                if ($for !== null && $for->roleIn($course->id) === null) {
                    $course->users()->attach($for, ['role' => 'instructor']);
                }

                return $course;
            });
        } catch (QueryException $error) {
            throw new RecordsError(
                'The records do not fit together: they were changed, or are of another version. Nothing was changed.',
                previous: $error,
            );
        } finally {
            $zip->close();
        }
    }

    /** @throws RecordsError */
    private static function assertOurs(ZipArchive $zip): void
    {
        /** @var array{format?: int, of?: string|null}|null $about */
        $about = json_decode((string) $zip->getFromName(Places::ABOUT), true);
        if (($about['format'] ?? null) !== RecordsWriter::FORMAT) {
            throw new RecordsError('These are no records of a course that this version can read. Nothing was changed.');
        }
        if (($about['of'] ?? null) !== null) {
            throw new RecordsError(
                'These are the records of one student: they are to be handed out, and do not make a course. Nothing '
                    .'was changed.',
            );
        }
        if (Course::query()->whereKey(self::courseId($zip))->exists()) {
            throw new RecordsError('This course is here already. Nothing was changed.');
        }
    }

    private static function courseId(ZipArchive $zip): string
    {
        /** @var array{id?: mixed}|null $course */
        $course = json_decode(strtok((string) $zip->getFromName(Places::table('courses')), "\n") ?: '', true);
        $id = $course['id'] ?? null;
        if (! is_string($id) || preg_match('/^[0-9a-f-]{36}$/', $id) !== 1) {
            throw new RecordsError('There is no course in these records. Nothing was changed.');
        }

        return $id;
    }

    /** Bytes come first: they are nobody's until a row names them, and go by night where none does. */
    private function keepBytes(ZipArchive $zip): void
    {
        for ($at = 0; $at < $zip->numFiles; $at++) {
            $name = (string) $zip->getNameIndex($at);
            if (str_starts_with($name, 'bytes/') || str_starts_with($name, 'hand-ins/')) {
                $isSmall = ($zip->statIndex($at)['size'] ?? 0) <= self::MOST_BYTES_OF_FILE;
                $bytes = $isSmall
                    ? $zip->getFromIndex($at)
                    : throw new RecordsError("“{$name}” is too large. Nothing was changed.");
                if ($bytes === false) {
                    throw new RecordsError("“{$name}” is damaged. Nothing was changed.");
                }
                $this->blobs->put($bytes);
            }
        }
    }

    /**
     * Whoever made the zip may have written rows into it that belong to another course: then none of it is kept.
     *
     * @param  array<string, int>  $written  rows by table
     *
     * @throws RecordsError
     */
    private static function assertItsOwn(Scope $scope, array $written): void
    {
        foreach (Tables::all() as $table) {
            // People may be here already, and teach elsewhere.
            $sql = "select count(*) as own from $table->name where $table->rows";
            $own = DB::scalar($sql, $scope->named($sql));
            if ($table->name !== 'users' && (! is_numeric($own) || (int) $own !== $written[$table->name])) {
                throw new RecordsError(
                    "The table “{$table->name}” has rows that belong to no part of this course. Nothing was changed.",
                );
            }
        }
    }

    /**
     * @param  array<string, string>  $people  ids here of people who have accounts already, by their ids there
     * @return int how many rows were written
     */
    private function table(Table $table, ZipArchive $zip, array &$people): int
    {
        $stream = $zip->getStream(Places::table($table->name));
        if ($stream === false) {
            throw new RecordsError("There is no table “{$table->name}” in these records. Nothing was changed.");
        }
        $rows = [];
        $read = $written = 0;
        while (($line = stream_get_line($stream, self::MOST_BYTES_OF_TABLE, "\n")) !== false) {
            $read += strlen($line);
            if ($line === '' || ($table->name === 'users' && self::isKnown($line, $people))) {
                continue;
            }
            $rows[] = strtr($line, $people);
            $written++;
            if (count($rows) === self::CHUNK || $read > 8_000_000) {
                self::insert($table, $rows);
                [$rows, $read] = [[], 0];
            }
        }
        fclose($stream);
        self::insert($table, $rows);

        return $written;
    }

    /**
     * Whether somebody with that address has an account here: what they wrote there is theirs here.
     *
     * @param  array<string, string>  $people
     */
    private static function isKnown(string $line, array &$people): bool
    {
        /** @var array{id: string, email: string} $user */
        $user = json_decode($line, true, flags: JSON_THROW_ON_ERROR);
        $known = User::query()->whereRaw('lower(email) = lower(?)', [$user['email']])->value('id');
        if (is_string($known) && $known !== $user['id']) {
            $people[$user['id']] = $known;
        }

        return is_string($known);
    }

    /** @param  list<string>  $rows  JSON objects */
    private static function insert(Table $table, array $rows): void
    {
        if ($rows === []) {
            return;
        }
        /** @var array<string, mixed> $first */
        $first = json_decode($rows[0], true, flags: JSON_THROW_ON_ERROR);
        $columns = array_values(array_intersect(TableColumns::of($table), array_keys($first)));
        $quoted = array_map(fn (string $name) => "\"$name\"", $columns);
        $secrets = $table->secret === null ? [] : [Hash::make(Str::random(40))];
        $names = implode(', ', $table->secret === null ? $quoted : [...$quoted, $table->secret]);
        $values = implode(', ', $table->secret === null ? $quoted : [...$quoted, '?']);
        DB::insert(
            "insert into $table->name ($names) select $values from json_populate_recordset(null::$table->name, "
                .'?::json)',
            [...$secrets, '['.implode(',', $rows).']'],
        );
    }
}

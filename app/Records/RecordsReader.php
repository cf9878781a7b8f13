<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Course;
use App\Models\User;
use App\Replies\SafeMarkdown;
use App\Sites\Space;
use App\Storage\BlobStore;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use InkedMargin\Core\Intake\Limits;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\UnpackedSize;
use ZipArchive;

/**
 * Reads the records of a course into this installation: all of it or nothing. Whoever sends them may have written them
 * by hand, so all that they say is held against the schema, the files that came with them, and the course they make.
 */
final readonly class RecordsReader
{
    /** Rows written at once, and characters of them. */
    private const CHUNK = 500;

    private const CHUNK_CHARACTERS = 4_000_000;

    private const MAX_ENTRIES = 500_000;

    /** Bytes of a row, of the entry that says what the zip is, of a file, and of all entries together. */
    private const MAX_ROW = 8_000_000;

    private const MAX_ABOUT = 100_000;

    private const MAX_FILE = 100_000_000;

    private const MAX_TOTAL = 20_000_000_000;

    /** Bytes from where a zip must not unpack to very much more than it has: empty tables pack well. */
    private const RATIO_FROM = 10_000_000;

    public function __construct(private BlobStore $blobs)
    {
    }

    /**
     * @param  string  $path  of a zip that `RecordsWriter` made of a whole course
     * @param  User|null  $for  who brings it in, and teaches it from then on; null on the command line
     *
     * @throws RecordsError where it cannot be read, or the course is here already
     */
    public function read(string $path, ?User $for = null): Course
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new RecordsError('This is not a zip file, or the upload was cut off. Nothing was changed.');
        }
        try {
            self::refuseSize($zip, (int) filesize($path));
            self::assertOurs($zip);
            $check = new RowCheck($this->keepBytes($zip));
            $people = new RecordsPeople($for);

            return DB::transaction(function () use ($zip, $for, $check, $people): Course {
                DB::statement("set local time zone 'UTC'");
                $written = [];
                foreach (Tables::all() as $table) {
                    $written[$table->name] = self::table($table, $zip, $check, $people);
                }
                $course = Course::query()->findOrFail(self::courseId($zip));
                ItsOwn::assert(Scope::course($course), $written, $people->here());
                if ($for !== null) {
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

    /** @throws RecordsError before anything is unpacked */
    private static function refuseSize(ZipArchive $zip, int $packed): void
    {
        if ($zip->numFiles > self::MAX_ENTRIES) {
            throw new RecordsError("The zip has $zip->numFiles entries; ".self::MAX_ENTRIES.' is the most. Nothing was '
                .'changed.');
        }
        try {
            (new UnpackedSize(new Limits(
                fileBytes: self::MAX_TOTAL,
                totalBytes: self::MAX_TOTAL,
                ratioFrom: self::RATIO_FROM,
            ), 'The zip', $packed))->refuseDeclared($zip);
            Space::admitToInstallation(
                UnpackedSize::declared($zip, 'bytes/') + UnpackedSize::declared($zip, 'hand-ins/'),
            );
        } catch (Refusal $refusal) {
            throw new RecordsError("{$refusal->getMessage()} Nothing was changed.");
        }
    }

    /** @throws RecordsError */
    private static function assertOurs(ZipArchive $zip): void
    {
        $about = json_decode((string) $zip->getFromName(Places::ABOUT, self::MAX_ABOUT), true);
        if (! is_array($about) || ($about['format'] ?? null) !== RecordsWriter::FORMAT) {
            throw new RecordsError('These are no records of a course that this version can read. Nothing was changed.');
        }
        if (($about['of'] ?? null) !== null) {
            throw new RecordsError(
                'These are the records of one student. They are for that student, and do not make a course. Nothing '
                    .'was changed.',
            );
        }
        if (Course::query()->whereKey(self::courseId($zip))->exists()) {
            throw new RecordsError('This course is here already. Nothing was changed.');
        }
    }

    private static function courseId(ZipArchive $zip): string
    {
        $lines = (string) $zip->getFromName(Places::table('courses'), self::MAX_ROW);
        $course = json_decode(strtok($lines, "\n") ?: '');
        $id = $course instanceof \stdClass ? $course->id ?? null : null;
        if (! is_string($id) || preg_match('/^[0-9a-f-]{36}$/', $id) !== 1) {
            throw new RecordsError('There is no course in these records. Nothing was changed.');
        }

        return $id;
    }

    /**
     * Bytes come first: they are nobody's until a row names them, and go by night where none does.
     *
     * @return array<string, int> the size of each by its SHA-256: rows may name these and no others, as a hash alone
     *     would give away a file of another course
     */
    private function keepBytes(ZipArchive $zip): array
    {
        $kept = [];
        for ($at = 0; $at < $zip->numFiles; $at++) {
            $name = (string) $zip->getNameIndex($at);
            if (! str_starts_with($name, 'bytes/') && ! str_starts_with($name, 'hand-ins/')) {
                continue;
            }
            $size = $zip->statIndex($at)['size'] ?? 0;
            if ($size > self::MAX_FILE) {
                throw new RecordsError("“{$name}” is too large. Nothing was changed.");
            }
            $bytes = $zip->getFromIndex($at);
            if ($bytes === false || strlen($bytes) !== $size) {
                throw new RecordsError("“{$name}” is damaged. Nothing was changed.");
            }
            $kept[$this->blobs->put($bytes)] = $size;
        }

        return $kept;
    }

    /** @return int how many rows were written */
    private static function table(Table $table, ZipArchive $zip, RowCheck $check, RecordsPeople $people): int
    {
        $rows = [];
        $characters = $written = 0;
        foreach (self::lines($table, $zip) as $number => $line) {
            $row = $check->row($table, $line, $number);
            $isSkipped = match ($table->name) {
                'users' => $people->knows($row),
                'course_user' => ! $people->join(),
                default => false,
            };
            if ($isSkipped) {
                continue;
            }
            $rows[] = self::stored($table, $row, $people->named($row, $line));
            $characters += strlen($line);
            $written++;
            if (count($rows) === self::CHUNK || $characters > self::CHUNK_CHARACTERS) {
                self::insert($table, $rows);
                [$rows, $characters] = [[], 0];
            }
        }
        self::insert($table, $rows);

        return $written;
    }

    /** HTML in a reply is made again of the Markdown that it came from: nobody's own is stored. */
    private static function stored(Table $table, \stdClass $row, string $line): string
    {
        if ($table->name !== 'replies' || ! $row->content instanceof \stdClass) {
            return $line;
        }
        $items = [$row->content->opening ?? null, $row->content->closing ?? null];
        foreach ($row->content->pages as $page) {
            array_push($items, ...$page->items);
        }
        $isChanged = false;
        foreach (array_filter($items) as $item) {
            $html = $item->html === null ? null : SafeMarkdown::html($item->text);
            $isChanged = $isChanged || $html !== $item->html;
            $item->html = $html;
        }

        return $isChanged
            ? json_encode($row, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)
            : $line;
    }

    /**
     * @return \Generator<int, string> by the number of the line, from 1
     *
     * @throws RecordsError
     */
    private static function lines(Table $table, ZipArchive $zip): \Generator
    {
        $stream = $zip->getStream(Places::table($table->name));
        if ($stream === false) {
            throw new RecordsError("There is no table “{$table->name}” in these records. Nothing was changed.");
        }
        try {
            for ($number = 1; ($line = stream_get_line($stream, self::MAX_ROW, "\n")) !== false; $number++) {
                if (strlen($line) === self::MAX_ROW) {
                    throw new RecordsError("Line $number of the table “{$table->name}” is too long. Nothing was "
                        .'changed.');
                }
                if ($line !== '') {
                    yield $number => $line;
                }
            }
        } finally {
            fclose($stream);
        }
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

<?php

declare(strict_types=1);

namespace App\Records;

use App\Courses\Rosters\RosterCsv;
use App\Grades\CourseGrades;
use App\Grades\GradeTable;
use App\Models\HandIn;
use App\Models\Reply;
use App\Replies\ReplyContent;
use App\Replies\ReplyHtml;
use App\Replies\ReplyMarkdown;
use App\Sites\ClassShape;
use App\Sites\MaterialStore;
use App\Sites\SiteStore;
use App\Storage\BlobStore;
use App\Storage\StoreFailure;
use App\Work\ProcessEnded;
use App\Work\WorkProcess;
use Closure;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Marking\Check;

/**
 * Writes all that is known of a course, or of one student, into one zip of open formats: hand-ins as they came, tables
 * as JSON, reports as JSON and SARIF, replies as HTML and Markdown, the gradebook and the roster as CSV.
 *
 * The same records make the same bytes.
 */
final readonly class RecordsWriter
{
    public const FORMAT = 1;

    /** For each check. */
    private const SECONDS = 60;

    public function __construct(private BlobStore $blobs, private SiteStore $sites, private MaterialStore $materials)
    {
    }

    /**
     * @param  string  $path  of the zip that is made
     * @param  Closure(int, int): void|null  $progress  called with the number of hand-ins written, and how many there
     *     are
     */
    public function write(Scope $scope, string $path, ?Closure $progress = null): void
    {
        $file = new RecordsFile($path);
        $file->add(Places::ABOUT, self::json([
            'format' => self::FORMAT, 'tool' => 'Inked Margin', 'engine' => Check::ENGINE,
            'course' => $scope->course->title, 'of' => $scope->student->name ?? null,
        ]));
        $file->add('README.txt', (string) file_get_contents(resource_path('records.txt')));
        // All tables as they are at one moment, with times written one way.
        $written = DB::transaction(function () use ($scope, $file): TablesWritten {
            if (DB::transactionLevel() === 1) {
                DB::statement('set transaction isolation level repeatable read');
            }
            DB::statement("set local time zone 'UTC'");
            if ($scope->student === null) {
                $file->add('gradebook.csv', GradeTable::csv((new CourseGrades($scope->course))->book(), false));
                $file->add('roster.csv', RosterCsv::of($scope->course->roster()->get()));
            }

            return $this->tables($scope, $file);
        });
        $index = $this->handIns($scope, $written->handIns, $file, $progress ?? fn () => null);
        $this->bytes(array_diff_key($written->hashes, $index), $file);
        ksort($index);
        $file->add(Places::INDEX, self::json((object) $index));
        $file->close();
    }

    private function tables(Scope $scope, RecordsFile $file): TablesWritten
    {
        $hashes = [];
        $handIns = [];
        foreach (Tables::all() as $table) {
            $columns = TableColumns::of($table);
            $names = implode(', ', array_map(fn (string $name) => "\"$name\"", $columns));
            $order = implode(', ', $table->key);
            $lines = '';
            $sql = "select to_json(t)::text as line from (select $names from $table->name where $table->rows order "
                ."by $order) t";
            foreach (DB::cursor($sql, $scope->named($sql)) as $row) {
                $lines .= "$row->line\n";
                if ($table->hashes !== []) {
                    /** @var array<string, mixed> $values */
                    $values = json_decode($row->line, true);
                    foreach ($table->hashes as $column) {
                        $sha256 = $values[$column] ?? null;
                        $hashes += is_string($sha256) ? [$sha256 => true] : [];
                    }
                    $id = $values['id'] ?? null;
                    if ($table->name === 'hand_ins' && is_string($id)) {
                        $handIns[] = $id;
                    }
                }
            }
            $file->add(Places::table($table->name), $lines);
        }
        ksort($hashes);

        return new TablesWritten($hashes, $handIns);
    }

    /**
     * @param  list<string>  $ids
     * @param  Closure(int, int): void  $progress
     * @return array<string, string> where bytes stand under a name of their own, by hash
     */
    private function handIns(Scope $scope, array $ids, RecordsFile $file, Closure $progress): array
    {
        $index = [];
        $all = count($ids);
        $handIns = $scope->handIns()->whereKey($ids)->with(['files', 'replies', 'run.brief.files']);
        $shapes = [];
        foreach ($handIns->lazy(50) as $done => $handIn) {
            $progress($done, $all);
            $place = Places::archive($handIn);
            $bytes = $this->blobs->get($handIn->archive_sha256);
            $file->add($place, $bytes);
            $index[$handIn->archive_sha256] ??= $place;
            foreach ($handIn->replies->sortBy('number') as $reply) {
                self::reply($handIn, $reply, $file, $scope->course->time_zone);
            }
            if ($handIn->counts) {
                $shapes[$handIn->assignment_id] ??= ClassShape::of($handIn->assignment_id);
                $this->report($handIn, $shapes[$handIn->assignment_id], $file);
            }
        }
        $progress($all, $all);

        return $index;
    }

    private static function reply(HandIn $handIn, Reply $reply, RecordsFile $file, string $timeZone): void
    {
        $content = ReplyContent::fromArray($reply->content);
        $file->add(Places::reply($handIn, $reply->number, 'html'), ReplyHtml::render($content, $timeZone));
        $file->add(Places::reply($handIn, $reply->number, 'md'), ReplyMarkdown::render($content, $timeZone));
    }

    /**
     * What the check says by the brief that it was made under, worked out anew: runs are no records. Where it breaks
     * off, the reason is there in its place, and the rest goes on.
     */
    private function report(HandIn $handIn, ClassShape $class, RecordsFile $file): void
    {
        $brief = $handIn->run?->brief;
        if ($brief === null) {
            return;
        }
        try {
            $work = new SiteReports(
                $this->sites->read($handIn, $class),
                $brief->read(),
                $this->materials->read($brief),
            );
            /** @var array<string, string> $reports */
            $reports = WorkProcess::run($work, self::SECONDS, fn () => null);
        } catch (BriefError) {
            return;
        } catch (ProcessEnded|StoreFailure $failure) {
            $reports = ['txt' => "The check broke off. {$failure->getMessage()}\n"];
        }
        foreach ($reports as $ending => $text) {
            $file->add(Places::report($handIn, $ending), $text);
        }
    }

    /** @param  array<string, true>  $hashes */
    private function bytes(array $hashes, RecordsFile $file): void
    {
        foreach (array_keys($hashes) as $sha256) {
            $file->add(Places::bytes((string) $sha256), $this->blobs->get((string) $sha256));
        }
    }

    private static function json(mixed $value): string
    {
        return json_encode(
            $value,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }
}

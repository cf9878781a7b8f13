<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Course;
use App\Records\RecordsWriter;
use App\Records\Scope;
use Illuminate\Console\Command;

/** Writes the records of a course into a file. */
final class ExportRecords extends Command
{
    protected $signature = 'records:export {course : the id of the course, as it stands in its address} {file : the '
        .'zip that is made}';

    protected $description = 'Write everything of a course into one zip of open formats';

    public function handle(RecordsWriter $writer): int
    {
        $id = $this->argument('course');
        $course = preg_match('/^[0-9a-f-]{36}$/', $id) === 1 ? Course::query()->find($id) : null;
        if ($course === null) {
            $this->error('There is no such course.');

            return self::FAILURE;
        }
        $writer->write(Scope::course($course), $this->argument('file'));
        $this->line("“{$course->title}” is in {$this->argument('file')}.");

        return self::SUCCESS;
    }
}

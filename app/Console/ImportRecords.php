<?php

declare(strict_types=1);

namespace App\Console;

use App\Records\RecordsError;
use App\Records\RecordsReader;
use Illuminate\Console\Command;

/** Reads the records of a course into this installation. */
final class ImportRecords extends Command
{
    protected $signature = 'records:import {file : a zip that records:export made}';

    protected $description = 'Read a course that was written elsewhere into this installation';

    public function handle(RecordsReader $reader): int
    {
        try {
            $course = $reader->read($this->argument('file'));
        } catch (RecordsError $error) {
            $this->error($error->getMessage());

            return self::FAILURE;
        }
        $this->line("“{$course->title}” is here. Its people set a password by “Forgotten your password?”.");

        return self::SUCCESS;
    }
}

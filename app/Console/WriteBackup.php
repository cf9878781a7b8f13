<?php

declare(strict_types=1);

namespace App\Console;

use App\Operations\Backup;
use Illuminate\Console\Command;

/** Writes the database and the files into a folder. */
final class WriteBackup extends Command
{
    protected $signature = 'backup:write {folder : where it is kept; what is there already is not copied again}';

    protected $description = 'Write the database and the files of this installation into a folder';

    public function handle(): int
    {
        $copied = (new Backup($this->argument('folder')))->write();
        $this->line("Kept, with $copied new files.");

        return self::SUCCESS;
    }
}

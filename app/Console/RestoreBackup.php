<?php

declare(strict_types=1);

namespace App\Console;

use App\Operations\Backup;
use App\Storage\BlobStore;
use Illuminate\Console\Command;
use RuntimeException;

/** Brings back what backup:write kept. */
final class RestoreBackup extends Command
{
    protected $signature = 'backup:restore {folder : where backup:write kept it}';

    protected $description = 'Bring a backup back into an empty database and storage';

    public function handle(BlobStore $blobs): int
    {
        try {
            $count = (new Backup($this->argument('folder')))->restore($blobs);
        } catch (RuntimeException $error) {
            $this->error($error->getMessage());

            return self::FAILURE;
        }
        $this->call('migrate', ['--force' => true]);
        $this->line("Back, with $count files.");

        return self::SUCCESS;
    }
}

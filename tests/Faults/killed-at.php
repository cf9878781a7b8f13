<?php

declare(strict_types=1);

/**
 * Does one thing, and is killed at a statement that it sends to the database: locks and jobs are such statements too.
 *
 * killed-at.php WHAT ID N     N: the number of the statement; 0 for none, and the count is printed
 */

use App\Intake\HandInFiler;
use App\Intake\ReceivedSite;
use App\Intake\UnpackArrival;
use App\Models\Assignment;
use App\Models\Student;
use App\Operations\ForgottenWork;
use App\Storage\BlobStore;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Intake\ArchiveReader;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

[, $what, $id, $at] = $argv;
$zip = dirname(__DIR__, 2).'/tests/Faults/.zip-'.getmypid();
$archive = new ZipArchive;
$archive->open($zip, ZipArchive::CREATE);
$archive->addFromString('index.html', "<!doctype html><html lang=\"en\"><title>$id</title><p>$id</p></html>");
$archive->close();
$bytes = (string) file_get_contents($zip);
$site = (new ArchiveReader)->read($zip, "$id.zip");
unlink($zip);
$work = Assignment::query()->firstOrFail();

$count = 0;
DB::beforeExecuting(function () use (&$count, $at): void {
    if (++$count === (int) $at) {
        posix_kill(posix_getpid(), SIGKILL);
    }
});
match ($what) {
    'hand in' => app(HandInFiler::class)->file(new ReceivedSite(
        $work,
        Student::query()->where('handle', $id)->firstOrFail(),
        $site,
        "$id.zip",
        app(BlobStore::class)->put($bytes),
        now(),
    )),
    'drop' => UnpackArrival::request($work, ['name' => "$id.zip", 'sha256' => app(BlobStore::class)->put($bytes)]),
    // As the scheduler does it each minute, once what waits is old enough.
    'ask' => ForgottenWork::ask(),
};
echo $count;

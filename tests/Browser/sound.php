<?php

declare(strict_types=1);

// Tells, as JSON, what is unsound in the store and the database; run where the application's environment is set.

use App\Models\CheckRun;
use App\Storage\BlobStore;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$store = $app->make(BlobStore::class);
$damaged = DB::table('blobs')->pluck('sha256')->reject(
    fn (string $sha256) => rescue(fn () => $store->withFile($sha256, fn () => true), false, false),
);
echo json_encode([
    'damaged' => $damaged->values()->all(),
    'unfinished' => CheckRun::query()->whereIn('state', ['queued', 'running'])->count(),
    'without files' => DB::table('hand_ins')->whereNotExists(
        fn ($files) => $files->from('hand_in_files')->whereColumn('hand_in_files.hand_in_id', 'hand_ins.id'),
    )->count(),
    'attempts out of step' => DB::table('hand_ins')->groupBy('assignment_id', 'student_id')
        ->havingRaw('max(attempt) != count(*)')->count(DB::raw('distinct student_id')),
], JSON_THROW_ON_ERROR);

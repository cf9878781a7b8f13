<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A site that a student tries: one at a time, and only while they wait for it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('site_tries', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('student_id')->unique()->constrained()->cascadeOnDelete();
            $table->foreignUuid('assignment_id')->index()->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->boolean('packed');
            $table->text('address')->nullable();
            $table->string('state', 20)->default('waiting');
            $table->text('trouble')->nullable();
            $table->jsonb('result')->nullable();
            $table->timestampTz('seen_at');
            $table->timestampTz('created_at');
        });
        // One that is slow is not one that nobody finishes.
        Schema::table('uploads', function (Blueprint $table): void {
            $table->timestampTz('last_part_at')->useCurrent()->index();
        });
        // Few of many thousands, which are looked for with each hand-in and each minute.
        DB::statement("CREATE INDEX check_runs_waiting ON check_runs (hand_in_id) WHERE state IN ('queued', 'running')");
    }
};

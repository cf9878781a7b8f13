<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What an assignment gives besides its brief, and what the sum of points needs to be worked out without reading the
 * brief.
 */
return new class extends Migration
{
    public function up(): void
    {
        // They go with a version of the brief: what was checked under it can be checked again.
        Schema::create('brief_files', function (Blueprint $table): void {
            $table->foreignUuid('brief_id')->constrained()->cascadeOnDelete();
            $table->string('role');
            $table->string('path', 500);
            $table->char('sha256', 64)->index();
            $table->primary(['brief_id', 'role', 'path']);
        });
        DB::statement(
            "ALTER TABLE brief_files ADD CONSTRAINT brief_files_role CHECK (role IN ('starter', 'model', 'copy'))",
        );
        Schema::table('check_runs', fn (Blueprint $table) => $table->jsonb('scheme')->default('{}'));
        Schema::table('outcomes', fn (Blueprint $table) => $table->text('how')->default(''));
        // Whether a finding may cost points of its own: no requirement tells of it, and it shows none that is lost.
        Schema::table('findings', fn (Blueprint $table) => $table->boolean('free')->default(false));
    }
};

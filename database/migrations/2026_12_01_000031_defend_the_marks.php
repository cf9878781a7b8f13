<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE outcomes DROP CONSTRAINT IF EXISTS outcomes_outcome_check');
        DB::statement("UPDATE outcomes SET outcome = 'not-judged' WHERE outcome = 'unclear'");
        DB::statement("ALTER TABLE outcomes ADD CHECK (outcome IN ('met', 'partly', 'unmet', 'not-judged'))");
        // What it takes to work the points out again when something is rubbed out. Runs of earlier engines have none of
        // it, and are checked again.
        Schema::table('outcomes', function (Blueprint $table): void {
            $table->jsonb('award')->nullable();
            $table->jsonb('losses')->default('[]');
        });
        DB::statement("ALTER TABLE outcomes ADD CHECK (jsonb_typeof(losses) = 'array')");
        Schema::table('findings', fn (Blueprint $table) => $table->decimal('cost', 8, 2)->default(0));
        Schema::table('check_runs', function (Blueprint $table): void {
            $table->decimal('was_awarded', 8, 2)->nullable();
            $table->decimal('was_possible', 8, 2)->nullable();
        });
        Schema::table('assignments', fn (Blueprint $table) => $table->jsonb('left_out')->default('[]'));
        DB::statement("ALTER TABLE assignments ADD CHECK (jsonb_typeof(left_out) = 'array')");
        $this->addExtensions();
    }

    private function addExtensions(): void
    {
        Schema::create('extensions', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('assignment_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('student_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('group', 100)->nullable();
            $table->timestampTz('due_at')->nullable();
            $table->boolean('waived')->default(false);
            $table->text('reason');
            $table->foreignUuid('user_id')->constrained();
            $table->timestampsTz();
            $table->unique(['assignment_id', 'student_id']);
            $table->unique(['assignment_id', 'group']);
            $table->index('student_id');
        });
        DB::statement('ALTER TABLE extensions ADD CHECK ((student_id IS NULL) <> ("group" IS NULL))');
        DB::statement('ALTER TABLE extensions ADD CHECK (waived OR due_at IS NOT NULL)');
        DB::statement("ALTER TABLE extensions ADD CHECK (reason <> '')");
        Schema::table('hand_ins', fn (Blueprint $table) => $table->unsignedInteger('minutes_late')->default(0));
        DB::statement(<<<'SQL'
            UPDATE hand_ins h
            SET minutes_late = greatest(0, ceil(extract(epoch from h.arrived_at - a.due_at) / 60))::int
            FROM assignments a WHERE a.id = h.assignment_id AND a.due_at IS NOT NULL
            SQL);
    }
};

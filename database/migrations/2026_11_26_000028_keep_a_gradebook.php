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
        // Where a course has no part, all its work is one.
        Schema::create('grade_parts', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('course_id')->constrained()->cascadeOnDelete();
            $table->string('title');
            $table->decimal('weight', 8, 2)->default(1);
            $table->unsignedInteger('best')->nullable();
            $table->unsignedInteger('position');
            $table->unique(['course_id', 'title']);
        });
        DB::statement('ALTER TABLE grade_parts ADD CHECK (weight >= 0)');
        DB::statement('ALTER TABLE grade_parts ADD CHECK (best IS NULL OR best >= 1)');
        Schema::table('assignments', function (Blueprint $table): void {
            $table->foreignUuid('grade_part_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->decimal('grade_weight', 8, 2)->default(1);
        });
        DB::statement('ALTER TABLE assignments ADD CHECK (grade_weight >= 0)');
        // Work whose marks were carried over from elsewhere.
        Schema::create('other_work', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('course_id')->constrained()->cascadeOnDelete();
            $table->string('title');
            $table->decimal('possible', 8, 2);
            $table->foreignUuid('grade_part_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->decimal('grade_weight', 8, 2)->default(1);
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['course_id', 'title']);
        });
        DB::statement('ALTER TABLE other_work ADD CHECK (possible > 0)');
        DB::statement('ALTER TABLE other_work ADD CHECK (grade_weight >= 0)');
        // What was said by hand of a student and a piece of work: points, or that it does not count.
        Schema::create('grades', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('student_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('assignment_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('other_work_id')->nullable()->index()->constrained('other_work')->cascadeOnDelete();
            $table->decimal('points', 8, 2)->nullable();
            $table->text('reason');
            $table->foreignUuid('user_id')->index()->constrained();
            $table->timestampsTz();
            $table->unique(['student_id', 'assignment_id']);
            $table->unique(['student_id', 'other_work_id']);
        });
        DB::statement('ALTER TABLE grades ADD CHECK (points >= 0)');
        DB::statement('ALTER TABLE grades ADD CHECK ((assignment_id IS NULL) <> (other_work_id IS NULL))');
    }
};

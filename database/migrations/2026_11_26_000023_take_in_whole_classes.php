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
        Schema::table('arrivals', function (Blueprint $table): void {
            // What was dropped together is taken back together.
            $table->uuid('drop_id')->nullable()->index();
            // Of a class's archive: the one that it came in.
            $table->uuid('parent_id')->nullable()->index();
            // The folders around it there, which may name its student.
            $table->string('within', 400)->default('');
            // A folder, or loose files, that were packed on the way: the name is nobody's choice.
            $table->boolean('packed')->default(false);
        });
        Schema::table(
            'arrivals',
            fn (Blueprint $table) => $table->foreign('parent_id')->references('id')->on('arrivals')->nullOnDelete(),
        );
        DB::statement('alter table arrivals drop constraint arrivals_state_check');
        DB::statement(
            "alter table arrivals add check (state in ('waiting', 'taken', 'unmatched', 'refused', 'repeated', "
                ."'opened'))",
        );
        // Words of file names that were matched by hand, for the next time.
        Schema::create('learned_names', function (Blueprint $table): void {
            $table->foreignUuid('course_id')->constrained()->cascadeOnDelete();
            $table->string('word', 100);
            $table->foreignUuid('student_id')->constrained()->cascadeOnDelete();
            $table->primary(['course_id', 'word', 'student_id']);
        });
    }
};

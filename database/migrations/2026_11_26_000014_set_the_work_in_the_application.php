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
        Schema::table('courses', function (Blueprint $table): void {
            // In which due times are written and read.
            $table->string('time_zone', 64)->default('UTC');
            $table->timestampTz('put_away_at')->nullable();
        });
        Schema::table('students', function (Blueprint $table): void {
            $table->string('email')->default('');
            $table->string('group')->default('');
            // Who left keeps what was handed in and answered.
            $table->timestampTz('set_aside_at')->nullable();
        });
        // One student by one handle, however it is capitalised.
        DB::statement('CREATE UNIQUE INDEX students_course_handle_folded ON students (course_id, lower(handle))');
    }
};

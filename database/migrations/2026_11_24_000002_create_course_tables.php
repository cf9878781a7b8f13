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
        Schema::create('users', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestampsTz();
        });
        Schema::create('courses', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('title');
            $table->string('school');
            $table->string('term');
            $table->timestampsTz();
        });
        Schema::create('course_user', function (Blueprint $table): void {
            $table->foreignUuid('course_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->constrained()->cascadeOnDelete();
            $table->string('role');
            $table->primary(['course_id', 'user_id']);
        });
        DB::statement("ALTER TABLE course_user ADD CHECK (role IN ('instructor', 'marker'))");
        Schema::create('students', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('course_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('handle');
            $table->timestampsTz();
            $table->unique(['course_id', 'handle']);
        });
        Schema::create('assignments', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('course_id')->constrained()->cascadeOnDelete();
            $table->string('title');
            $table->text('summary')->default('');
            $table->timestampTz('due_at')->nullable();
            $table->timestampsTz();
            $table->unique(['course_id', 'title']);
        });
        Schema::create('briefs', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('assignment_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('version');
            $table->text('source');
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['assignment_id', 'version']);
        });
    }
};

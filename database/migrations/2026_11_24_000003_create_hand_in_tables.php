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
        Schema::create('blobs', function (Blueprint $table): void {
            $table->char('sha256', 64)->primary();
            $table->unsignedBigInteger('bytes');
            $table->timestampTz('created_at')->useCurrent();
        });
        Schema::create('hand_ins', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('assignment_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('student_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('attempt');
            $table->string('archive_name');
            $table->char('archive_sha256', 64);
            $table->foreign('archive_sha256')->references('sha256')->on('blobs');
            $table->string('site_name');
            $table->timestampTz('arrived_at');
            $table->unique(['assignment_id', 'student_id', 'attempt']);
            $table->unique(['assignment_id', 'student_id', 'archive_sha256']);
        });
        DB::statement('ALTER TABLE hand_ins ADD CHECK (attempt >= 1)');
        Schema::create('hand_in_files', function (Blueprint $table): void {
            $table->foreignUuid('hand_in_id')->constrained()->cascadeOnDelete();
            $table->string('path', 400);
            $table->char('sha256', 64);
            $table->foreign('sha256')->references('sha256')->on('blobs');
            $table->unsignedBigInteger('bytes');
            $table->primary(['hand_in_id', 'path']);
        });
        Schema::create('arrivals', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('assignment_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('student_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignUuid('hand_in_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name');
            $table->char('sha256', 64);
            $table->foreign('sha256')->references('sha256')->on('blobs');
            $table->string('state');
            $table->text('reason')->nullable();
            $table->timestampTz('arrived_at');
            $table->index(['assignment_id', 'arrived_at']);
        });
        DB::statement(
            "ALTER TABLE arrivals ADD CHECK (state IN ('waiting', 'taken', 'unmatched', 'refused', 'repeated'))",
        );
        DB::statement("ALTER TABLE arrivals ADD CHECK ((state = 'refused') = (reason IS NOT NULL))");
    }
};

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
        Schema::create('verdicts', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('hand_in_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->constrained();
            $table->string('fingerprint', 40);
            $table->string('state');
            $table->text('reason')->nullable();
            $table->timestampsTz();
            $table->unique(['hand_in_id', 'fingerprint']);
        });
        DB::statement("ALTER TABLE verdicts ADD CHECK (state IN ('inked', 'rubbed-out'))");
        Schema::create('notes', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('hand_in_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->constrained();
            $table->boolean('merit')->default(false);
            $table->string('file', 400)->nullable();
            $table->unsignedInteger('line')->nullable();
            $table->text('body');
            $table->timestampsTz();
            $table->index('hand_in_id');
        });
        DB::statement('ALTER TABLE notes ADD CHECK (line IS NULL OR (file IS NOT NULL AND line >= 1))');
        Schema::create('marks', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('hand_in_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->constrained();
            $table->string('requirement');
            $table->decimal('points', 8, 2);
            $table->text('reason');
            $table->timestampsTz();
            $table->unique(['hand_in_id', 'requirement']);
        });
        DB::statement('ALTER TABLE marks ADD CHECK (points >= 0)');
        Schema::create('replies', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('hand_in_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->constrained();
            $table->unsignedInteger('number');
            $table->jsonb('content');
            $table->timestampTz('released_at');
            $table->unique(['hand_in_id', 'number']);
        });
    }
};

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
        Schema::create('check_runs', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('hand_in_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('brief_id')->constrained();
            $table->string('engine');
            $table->string('state');
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('steps')->default(0);
            $table->decimal('awarded', 8, 2)->nullable();
            $table->decimal('possible', 8, 2)->nullable();
            $table->text('trouble')->nullable();
            $table->timestampTz('created_at')->useCurrent();
            $table->timestampTz('finished_at')->nullable();
            $table->unique(['hand_in_id', 'brief_id', 'engine']);
        });
        DB::statement("ALTER TABLE check_runs ADD CHECK (state IN ('queued', 'running', 'finished', 'failed'))");
        DB::statement("ALTER TABLE check_runs ADD CHECK ((state = 'finished') = (finished_at IS NOT NULL))");
        Schema::create('findings', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('check_run_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('rule');
            $table->string('weight');
            $table->string('mark');
            $table->string('file', 400);
            foreach (['start', 'end'] as $side) {
                $table->unsignedInteger("{$side}_line");
                $table->unsignedInteger("{$side}_column");
                $table->unsignedInteger("{$side}_offset");
            }
            $table->text('message');
            $table->text('remedy');
            $table->jsonb('related');
            $table->string('requirement')->nullable();
            $table->string('fingerprint', 40);
            $table->unique(['check_run_id', 'position']);
            $table->unique(['check_run_id', 'fingerprint']);
        });
        DB::statement("ALTER TABLE findings ADD CHECK (weight IN ('fault', 'departure', 'tidy'))");
        DB::statement("ALTER TABLE findings ADD CHECK (mark IN ('insert', 'take-out', 'change', 'move', 'look'))");
        Schema::create('outcomes', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('check_run_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('requirement');
            $table->text('title');
            $table->string('outcome');
            $table->text('measured');
            $table->text('expected');
            $table->decimal('awarded', 8, 2);
            $table->decimal('possible', 8, 2);
            $table->unique(['check_run_id', 'requirement']);
        });
        DB::statement("ALTER TABLE outcomes ADD CHECK (outcome IN ('met', 'partly', 'unmet', 'unclear'))");
    }
};

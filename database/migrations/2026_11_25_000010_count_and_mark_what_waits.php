<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What lists need stands where they look for it: nothing is counted that was counted before. */
return new class extends Migration
{
    public function up(): void
    {
        // A finding has no life outside its run: its place in it is its key.
        Schema::table('findings', function (Blueprint $table): void {
            $table->dropColumn('id');
            $table->dropUnique(['check_run_id', 'position']);
            $table->primary(['check_run_id', 'position']);
        });
        // A narrow tally of each run, so that lists never read its findings.
        Schema::table('check_runs', function (Blueprint $table): void {
            foreach (['faults', 'departures', 'tidies'] as $weight) {
                $table->unsignedInteger($weight)->default(0);
            }
        });
        DB::statement(<<<'SQL'
            UPDATE check_runs SET faults = tally.faults, departures = tally.departures, tidies = tally.tidies
            FROM (
                SELECT check_run_id,
                    count(*) FILTER (WHERE weight = 'fault') AS faults,
                    count(*) FILTER (WHERE weight = 'departure') AS departures,
                    count(*) FILTER (WHERE weight = 'tidy') AS tidies
                FROM findings GROUP BY check_run_id
            ) tally
            WHERE tally.check_run_id = check_runs.id
            SQL);
        // The attempt of a student that waits for its reply: one at most, and the only ones that the shelf looks at.
        Schema::table('hand_ins', fn (Blueprint $table) => $table->boolean('waits')->default(false));
        DB::statement(<<<'SQL'
            UPDATE hand_ins SET waits = true
            WHERE NOT EXISTS (SELECT 1 FROM replies WHERE replies.hand_in_id = hand_ins.id)
            AND NOT EXISTS (
                SELECT 1 FROM hand_ins newer WHERE newer.assignment_id = hand_ins.assignment_id
                AND newer.student_id = hand_ins.student_id AND newer.attempt > hand_ins.attempt
            )
            SQL);
        DB::statement('CREATE UNIQUE INDEX hand_ins_waits ON hand_ins (assignment_id, student_id) WHERE waits');
        DB::statement("CREATE INDEX arrivals_unmatched ON arrivals (assignment_id) WHERE state = 'unmatched'");
        // Laravel's own table of batches: a class that is checked again is one.
        Schema::create('job_batches', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->string('name');
            $table->integer('total_jobs');
            $table->integer('pending_jobs');
            $table->integer('failed_jobs');
            $table->longText('failed_job_ids');
            $table->mediumText('options')->nullable();
            $table->integer('cancelled_at')->nullable();
            $table->integer('created_at');
            $table->integer('finished_at')->nullable();
        });
        Schema::table('assignments', fn (Blueprint $table) => $table->string('batch_id')->nullable());
    }
};

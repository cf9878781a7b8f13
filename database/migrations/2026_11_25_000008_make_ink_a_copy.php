<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What an instructor inked, rubbed out or wrote is a row that holds its own words and place, and no pointer into a run:
 * verdicts and notes become remarks. Runs may be thrown away and worked out again.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('remarks', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('hand_in_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->constrained();
            $table->string('kind');
            $table->unsignedInteger('version')->default(1);
            $table->text('body');
            $table->text('remedy')->default('');
            $table->text('reason')->nullable();
            $table->string('rule')->nullable();
            $table->string('variant')->default('');
            $table->string('weight')->nullable();
            $table->string('mark')->nullable();
            $table->string('requirement')->nullable();
            $table->string('file', 400)->nullable();
            foreach (['line', 'column', 'end_line', 'end_column'] as $place) {
                $table->unsignedInteger($place)->nullable();
            }
            $table->text('excerpt')->nullable();
            $table->string('fingerprint', 40)->nullable();
            $table->unsignedInteger('from_attempt')->nullable();
            $table->boolean('placed')->default(true);
            $table->timestampsTz();
            $table->unique(['hand_in_id', 'fingerprint']);
            $table->index(['hand_in_id', 'kind']);
            $table->index('user_id');
        });
        foreach ([
            "kind IN ('finding', 'rubbed-out', 'note', 'merit')",
            "(kind IN ('note', 'merit')) = (fingerprint IS NULL)",
            "kind IN ('note', 'merit') OR rule IS NOT NULL",
            'line IS NULL OR (file IS NOT NULL AND line >= 1)',
            "weight IS NULL OR weight IN ('fault', 'departure', 'tidy')",
            "mark IS NULL OR mark IN ('insert', 'take-out', 'change', 'move', 'look')",
            'version >= 1',
            'from_attempt IS NULL OR from_attempt >= 1',
        ] as $check) {
            DB::statement("ALTER TABLE remarks ADD CHECK ($check)");
        }
        // The words that a verdict meant are those of the newest run that had them.
        DB::statement(<<<'SQL'
            INSERT INTO remarks (id, hand_in_id, user_id, kind, body, remedy, reason, rule, variant, weight, mark, requirement, file, line, "column", end_line, end_column, fingerprint, created_at, updated_at)
            SELECT DISTINCT ON (v.id) v.id, v.hand_in_id, v.user_id,
                CASE v.state WHEN 'inked' THEN 'finding' ELSE 'rubbed-out' END,
                coalesce(f.message, 'The words of this remark are no longer known.'), coalesce(f.remedy, ''), v.reason,
                coalesce(f.rule, ''), coalesce(f.variant, ''), f.weight, f.mark, f.requirement, f.file,
                CASE WHEN f.end_offset > 0 THEN f.start_line END, CASE WHEN f.end_offset > 0 THEN f.start_column END,
                CASE WHEN f.end_offset > 0 THEN f.end_line END, CASE WHEN f.end_offset > 0 THEN f.end_column END,
                v.fingerprint, v.created_at, v.updated_at
            FROM verdicts v
            LEFT JOIN (findings f JOIN check_runs r ON r.id = f.check_run_id)
                ON f.fingerprint = v.fingerprint AND r.hand_in_id = v.hand_in_id
            ORDER BY v.id, r.created_at DESC NULLS LAST
            SQL);
        DB::statement(<<<'SQL'
            INSERT INTO remarks (id, hand_in_id, user_id, kind, body, file, line, created_at, updated_at)
            SELECT id, hand_in_id, user_id, CASE WHEN merit THEN 'merit' ELSE 'note' END, body, file, line, created_at, updated_at FROM notes
            SQL);
        Schema::drop('verdicts');
        Schema::drop('notes');

        // A mark says under which version of the brief it was given.
        Schema::table('marks', fn (Blueprint $table) => $table->foreignUuid('brief_id')->nullable()->constrained());
        DB::statement(<<<'SQL'
            UPDATE marks SET brief_id = (
                SELECT r.brief_id FROM check_runs r JOIN outcomes o ON o.check_run_id = r.id AND o.requirement = marks.requirement
                WHERE r.hand_in_id = marks.hand_in_id ORDER BY r.created_at DESC LIMIT 1
            )
            SQL);

        // A run is a cache, kept under the hash of everything that went into it.
        Schema::table('check_runs', function (Blueprint $table): void {
            $table->string('key', 64)->nullable();
            $table->dropUnique(['hand_in_id', 'brief_id', 'engine']);
        });
        DB::statement('UPDATE check_runs SET key = id::text');
        Schema::table('check_runs', function (Blueprint $table): void {
            $table->string('key', 64)->nullable(false)->change();
            $table->unique(['hand_in_id', 'key']);
            $table->index('brief_id');
        });
        Schema::table('hand_ins', function (Blueprint $table): void {
            $table->index('student_id');
            $table->index('archive_sha256');
        });
        Schema::table('course_user', fn (Blueprint $table) => $table->index('user_id'));
        Schema::table('arrivals', function (Blueprint $table): void {
            $table->index('student_id');
            $table->index('hand_in_id');
            $table->index('sha256');
        });
        Schema::table('hand_in_files', fn (Blueprint $table) => $table->index('sha256'));
    }
};

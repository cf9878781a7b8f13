<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Verdicts on all of a kind, more kinds of notes, hand-ins that are put by, and mended copies. */
return new class extends Migration
{
    public function up(): void
    {
        // What was decided together is taken back together.
        Schema::table('remarks', fn (Blueprint $table) => $table->uuid('batch_id')->nullable()->index());
        $old = DB::table('pg_constraint')->whereRaw("conrelid = 'remarks'::regclass and contype = 'c'")
            ->whereRaw("pg_get_constraintdef(oid) like '%merit%'")->pluck('conname');
        foreach ($old as $name) {
            DB::statement(
                'alter table remarks drop constraint '.DB::getQueryGrammar()->wrap(is_string($name) ? $name : ''),
            );
        }
        $written = "('note', 'question', 'merit', 'opening', 'closing')";
        DB::statement(
            "alter table remarks add constraint remarks_kind check (kind in ('finding', 'rubbed-out') or kind "
                ."in $written)",
        );
        DB::statement(
            "alter table remarks add constraint remarks_written check ((kind in $written) = (fingerprint is null))",
        );
        DB::statement("alter table remarks add constraint remarks_rule check (kind in $written or rule is not null)");
        DB::statement(
            "alter table remarks add constraint remarks_whole check (kind not in ('opening', 'closing') or file is "
                .'null)',
        );
        DB::statement(
            "create unique index remarks_words on remarks (hand_in_id, kind) where kind in ('opening', 'closing')",
        );

        // Why a hand-in waits: it is passed over until somebody takes it up again.
        Schema::table('hand_ins', function (Blueprint $table): void {
            $table->string('put_by', 400)->nullable();
            // When each person wrote to it last, by their id: so that others who read it see it soon.
            $table->jsonb('touched')->default('{}');
        });

        // Seconds that somebody has read a hand-in: nobody else is shown them.
        Schema::create('readings', function (Blueprint $table): void {
            $table->foreignUuid('hand_in_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('seconds')->default(0);
            $table->timestampTz('seen_at');
            $table->primary(['hand_in_id', 'user_id']);
            $table->index('user_id');
        });

        Schema::create('mended_copies', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('hand_in_id')->constrained()->cascadeOnDelete();
            $table->string('path', 400);
            $table->boolean('in_reply')->default(false);
            // Whether it is what the student should follow for the other pages.
            $table->boolean('follow')->default(false);
            $table->unique(['hand_in_id', 'path']);
        });
        // Steps are only ever added: going back to one is another.
        Schema::create('mended_steps', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('mended_copy_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->char('sha256', 64);
            $table->foreign('sha256')->references('sha256')->on('blobs');
            $table->string('words', 200);
            $table->foreignUuid('user_id')->constrained();
            $table->timestampTz('created_at');
            $table->unique(['mended_copy_id', 'number']);
            $table->index('sha256');
            $table->index('user_id');
        });
    }
};

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
        Schema::table('students', function (Blueprint $table): void {
            // The link itself is made of the seed and the key of the application, and kept nowhere.
            $table->string('link_seed', 40)->nullable();
            $table->char('link_sha256', 64)->nullable()->unique();
        });
        Schema::table('assignments', fn (Blueprint $table) => $table->boolean('takes_late')->default(true));
        Schema::table('hand_ins', function (Blueprint $table): void {
            $table->text('covering_note')->default('');
            $table->text('address')->nullable();
            $table->boolean('late')->default(false);
            // The one attempt of a student that is marked: chosen by hand, or the last in time.
            $table->boolean('chosen')->default(false);
            $table->boolean('counts')->default(false);
        });
        DB::statement(<<<'SQL'
            update hand_ins set
                late = coalesce(arrived_at > (select due_at from assignments where id = hand_ins.assignment_id), false),
                counts = attempt = (
                    select max(other.attempt) from hand_ins other
                    where other.assignment_id = hand_ins.assignment_id and other.student_id = hand_ins.student_id
                )
            SQL);
        DB::statement('create unique index hand_ins_counts on hand_ins (assignment_id, student_id) where counts');
        Schema::create('uploads', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('assignment_id')->constrained()->cascadeOnDelete();
            // Null for what whoever marks drops into the in-tray.
            $table->foreignUuid('student_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->unsignedBigInteger('bytes');
            $table->unsignedBigInteger('received')->default(0);
            $table->timestampTz('created_at')->index();
        });
    }
};

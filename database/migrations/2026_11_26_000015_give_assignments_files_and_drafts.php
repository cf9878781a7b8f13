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
        // What an assignment gives now; each version of its brief keeps what it was then.
        Schema::create('assignment_files', function (Blueprint $table): void {
            $table->foreignUuid('assignment_id')->constrained()->cascadeOnDelete();
            $table->string('role');
            $table->string('path', 500);
            $table->char('sha256', 64)->index();
            $table->primary(['assignment_id', 'role', 'path']);
        });
        DB::statement("ALTER TABLE assignment_files ADD CHECK (role IN ('starter', 'model', 'copy', 'sheets'))");
        DB::statement(<<<'SQL'
            insert into assignment_files (assignment_id, role, path, sha256)
            select brief.assignment_id, file.role, file.path, file.sha256
            from brief_files file
            join briefs brief on brief.id = file.brief_id
            where brief.version = (select max(other.version) from briefs other where other.assignment_id = brief.assignment_id)
            SQL);
        // A brief that is being written: not in use until somebody says so.
        Schema::create('brief_drafts', function (Blueprint $table): void {
            $table->foreignUuid('assignment_id')->primary()->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedInteger('version');
            $table->text('source');
            $table->timestampTz('updated_at')->useCurrent();
        });
    }
};

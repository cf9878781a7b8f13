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
        Schema::create('stock_remarks', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            // Shared by all who mark a course, or somebody's own in all of theirs.
            $table->foreignUuid('course_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->nullable()->constrained()->cascadeOnDelete();
            $table->text('body');
            $table->boolean('merit')->default(false);
            $table->timestampsTz();
            $table->index('course_id');
            $table->index('user_id');
        });
        DB::statement('alter table stock_remarks add check ((course_id is null) <> (user_id is null))');
        // How often each was used, and for which kind of finding.
        Schema::create('stock_remark_uses', function (Blueprint $table): void {
            $table->foreignUuid('stock_remark_id')->constrained()->cascadeOnDelete();
            $table->string('rule')->default('');
            $table->unsignedInteger('uses')->default(0);
            $table->primary(['stock_remark_id', 'rule']);
        });
    }
};

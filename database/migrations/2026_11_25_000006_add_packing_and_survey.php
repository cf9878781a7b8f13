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
        // Hand-ins from before this have no record of their folders: null, and not an empty list.
        Schema::table('hand_ins', fn (Blueprint $table) => $table->jsonb('folders')->nullable());
        // A table of its own: lists of runs never carry the surveys along.
        Schema::create('surveys', function (Blueprint $table): void {
            $table->foreignUuid('check_run_id')->primary()->constrained()->cascadeOnDelete();
            $table->jsonb('content');
        });
        DB::statement("ALTER TABLE hand_ins ADD CHECK (folders IS NULL OR jsonb_typeof(folders) = 'array')");
        DB::statement("ALTER TABLE surveys ADD CHECK (jsonb_typeof(content) = 'object')");
    }
};

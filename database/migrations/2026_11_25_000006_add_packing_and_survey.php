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
        Schema::table('check_runs', fn (Blueprint $table) => $table->jsonb('survey')->nullable());
        DB::statement("ALTER TABLE hand_ins ADD CHECK (folders IS NULL OR jsonb_typeof(folders) = 'array')");
        DB::statement("ALTER TABLE check_runs ADD CHECK (survey IS NULL OR jsonb_typeof(survey) = 'object')");
    }
};

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
        // Worked out once, when nobody could be matched: the in-tray is asked for twice a second.
        Schema::table('arrivals', fn (Blueprint $table) => $table->jsonb('likely')->default('[]'));
        DB::statement("ALTER TABLE arrivals ADD CHECK (jsonb_typeof(likely) = 'array')");
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE brief_files DROP CONSTRAINT brief_files_role');
        DB::statement(
            "ALTER TABLE brief_files ADD CONSTRAINT brief_files_role CHECK (role IN ('starter', 'model', 'copy', 'sheets'))",
        );
    }
};

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
        // Findings of earlier engines have no variant, and none of the changes that would mend them.
        Schema::table('findings', function (Blueprint $table): void {
            $table->string('variant')->default('');
            $table->jsonb('mend')->nullable();
            $table->index(['check_run_id', 'rule', 'variant']);
        });
        Schema::table('outcomes', fn (Blueprint $table) => $table->jsonb('shortfalls')->default('[]'));
        DB::statement("ALTER TABLE findings ADD CHECK (mend IS NULL OR jsonb_typeof(mend) = 'array')");
        DB::statement("ALTER TABLE outcomes ADD CHECK (jsonb_typeof(shortfalls) = 'array')");
    }
};

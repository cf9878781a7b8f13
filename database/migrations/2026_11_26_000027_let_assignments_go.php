<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * A brief goes with its assignment alone, and whatever was worked out or given under it goes at the same time: in which
 * order is the database's own affair.
 */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['check_runs', 'marks'] as $under) {
            Schema::table($under, function (Blueprint $table): void {
                $table->dropForeign(['brief_id']);
                $table->foreign('brief_id')->references('id')->on('briefs')->cascadeOnDelete();
            });
        }
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // After that, nothing is taken in any more.
        Schema::table('assignments', fn (Blueprint $table) => $table->timestampTz('closed_at')->nullable());
    }
};

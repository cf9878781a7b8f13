<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What a person may say of a requirement that nobody can compute, with the points that each brings.
        Schema::table('outcomes', fn (Blueprint $table) => $table->jsonb('choices')->default('[]'));
    }
};

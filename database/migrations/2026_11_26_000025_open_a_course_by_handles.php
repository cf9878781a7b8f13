<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('courses', function (Blueprint $table): void {
            // Null: there is no link of the course, which is the rule.
            $table->string('link_seed', 40)->nullable();
            $table->char('link_sha256', 64)->nullable()->unique();
        });
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Where no mail server is set: what would have been sent.
        Schema::create('letters', function (Blueprint $table): void {
            $table->id();
            $table->text('to');
            $table->text('subject');
            $table->text('body');
            $table->timestampTz('created_at')->index();
        });
    }
};

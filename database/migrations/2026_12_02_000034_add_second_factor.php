<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A code from a telephone at log-in, besides the password. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            // Sealed with the application's key. It counts once the first code was typed.
            $table->text('totp_secret')->nullable();
            $table->timestampTz('totp_since')->nullable();
            // A code works once.
            $table->bigInteger('totp_last_step')->default(0);
            $table->jsonb('recovery_codes')->default('[]');
        });
    }
};

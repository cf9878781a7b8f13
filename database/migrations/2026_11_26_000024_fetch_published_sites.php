<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('arrivals', function (Blueprint $table): void {
            // Of a site that is to be fetched.
            $table->text('address')->nullable();
            $table->text('covering_note')->default('');
            $table->unsignedSmallInteger('looks')->default(0);
            // What the last look came to, while it is looked for again.
            $table->text('told')->nullable();
        });
        Schema::table('hand_ins', function (Blueprint $table): void {
            // What the server said of each file of a fetched site; null for what came as files.
            $table->jsonb('served')->nullable();
            $table->boolean('cut')->default(false);
            // What the published site has otherwise than the files that were handed in; null where nobody has looked.
            $table->jsonb('compared')->nullable();
        });
    }
};

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
        Schema::table('users', function (Blueprint $table): void {
            // Null: the zone of whatever they read on.
            $table->string('time_zone', 64)->nullable();
            // May read the outbox, in which the links of others are.
            $table->boolean('keeps_house')->default(false);
        });
        // The first account is whose installation it is.
        DB::statement(
            'update users set keeps_house = true where id = (select id from users order by created_at, id limit 1)',
        );
        Schema::table('assignments', function (Blueprint $table): void {
            // Null: any number.
            $table->unsignedSmallInteger('most_attempts')->nullable();
            $table->string('students_see')->default('nothing');
            // Null: it stands where its due time puts it, after those that were put in order by hand.
            $table->unsignedInteger('position')->nullable();
        });
    }
};

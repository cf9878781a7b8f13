<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    /** By table: the text that is searched. Queries have to name the same expression. */
    private const TEXTS = [
        'students' => "to_tsvector('simple', name || ' ' || handle || ' ' || email)",
        'assignments' => "to_tsvector('simple', title || ' ' || summary)",
        'remarks' => "to_tsvector('english', body)",
        'stock_remarks' => "to_tsvector('english', body)",
    ];

    public function up(): void
    {
        foreach (self::TEXTS as $table => $text) {
            // What was written is searched, and no copies of findings.
            $which = $table === 'remarks' ? ' WHERE fingerprint IS NULL' : '';
            DB::statement("CREATE INDEX {$table}_search ON $table USING gin (($text))$which");
        }
    }
};

<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\HandIn;
use Illuminate\Support\Str;

/** Where things stand in the zip of records: the same names each time, which no file system minds. */
final readonly class Places
{
    public const ABOUT = 'records.json';

    public const INDEX = 'index.json';

    /** A table, as a JSON object a line. */
    public static function table(string $name): string
    {
        return "tables/$name.jsonl";
    }

    /** Bytes that have no name of their own. */
    public static function bytes(string $sha256): string
    {
        return 'bytes/'.substr($sha256, 0, 2)."/$sha256";
    }

    /** What a student sent, as it came. */
    public static function archive(HandIn $handIn): string
    {
        $name = trim(preg_replace('~[\x00-\x1f\x7f<>:"/\\\\|?*]+~u', '_', $handIn->archive_name) ?? '', '. ');

        return 'hand-ins/'.self::handIn($handIn).'/'.($name === '' ? 'files.zip' : $name);
    }

    public static function report(HandIn $handIn, string $ending): string
    {
        return 'reports/'.self::handIn($handIn).".$ending";
    }

    public static function reply(HandIn $handIn, int $number, string $ending): string
    {
        return 'replies/'.self::handIn($handIn)."/reply-$number.$ending";
    }

    /** Names that two may share are told apart by the end of an id. */
    private static function handIn(HandIn $handIn): string
    {
        $named = fn (string $name, string $id) => trim(Str::slug($name).'-'.substr($id, -8), '-');

        return $named($handIn->assignment->title, $handIn->assignment_id)
            .'/'.$named($handIn->student->handle, $handIn->student_id)
            ."/attempt-$handIn->attempt";
    }
}

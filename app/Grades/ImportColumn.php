<?php

declare(strict_types=1);

namespace App\Grades;

/** A column of marks from elsewhere, and what keeping it would do. */
final readonly class ImportColumn
{
    /**
     * @param  list<string>  $unreadable
     * @param  'assignment'|'elsewhere'|'new'  $is  what it is held to be
     */
    public function __construct(
        /** its place in the file, from 0 */
        public int $at,
        /** what the work is called */
        public string $title,
        /** points; null where the heading does not say, and nothing known is called so */
        public ?float $possible,
        public string $is,
        /** students whose points would be others then */
        public int $changes,
        /** students whose points stay as they are */
        public int $same,
        public array $unreadable,
    ) {
    }
}

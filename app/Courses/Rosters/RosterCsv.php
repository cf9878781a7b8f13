<?php

declare(strict_types=1);

namespace App\Courses\Rosters;

use App\Models\Student;
use InkedMargin\Core\Report\Csv;

/** The roster as CSV (RFC 4180), in the form in which it is read again. */
final readonly class RosterCsv
{
    /** @param  iterable<Student>  $students */
    public static function of(iterable $students): string
    {
        $rows = [['name', 'handle', 'e-mail', 'group']];
        foreach ($students as $student) {
            $rows[] = [$student->name, $student->handle, $student->email, $student->group];
        }

        return Csv::of($rows);
    }
}

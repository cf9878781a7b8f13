<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Http\Shared\Controller;
use App\Marking\ClassSheet;
use App\Marking\ClassTable;
use App\Models\Assignment;

/** The whole class on one sheet. */
final class ClassSheetController extends Controller
{
    public function show(Assignment $assignment): ClassSheet
    {
        return ClassTable::of($assignment);
    }
}

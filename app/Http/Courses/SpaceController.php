<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Http\Shared\Controller;
use App\Models\Course;

final class SpaceController extends Controller
{
    public function show(Course $course): SpaceView
    {
        return SpaceView::of($course->id);
    }
}

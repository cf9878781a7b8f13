<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Assignment;
use App\Models\Course;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * An assignment that is due tomorrow.
 *
 * @extends Factory<Assignment>
 */
final class AssignmentFactory extends Factory
{
    protected $model = Assignment::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'course_id' => Course::factory(),
            'title' => 'Trial site',
            'due_at' => now()->addDay(),
        ];
    }

    /** Its brief in force, as its author wrote it. */
    public function withBrief(string $source): static
    {
        return $this->afterCreating(
            fn (Assignment $assignment) => $assignment->briefs()->create(['version' => 1, 'source' => $source]),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\Assignment;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Unpacks one archive of the in-tray. Safe to run twice and to be killed half way. */
final class UnpackArrival implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 60;

    public function __construct(public readonly string $arrivalId)
    {
    }

    /**
     * Lays something into the in-tray, and sees to it that it is unpacked.
     *
     * @param  array<string, mixed>  $arrival  its name and hash, and what else is known; it arrives now unless that
     *     says when
     */
    public static function request(Assignment $assignment, array $arrival): Arrival
    {
        $laid = $assignment->arrivals()->create($arrival + ['state' => ArrivalState::Waiting, 'arrived_at' => now()]);
        self::dispatch($laid->id);

        return $laid;
    }

    public function handle(HandInIntake $intake): void
    {
        $arrival = Arrival::query()->with([
            'assignment.course.students', 'assignment.brief', 'student', 'handIn',
        ])->find($this->arrivalId);
        if ($arrival !== null) {
            $intake->take($arrival);
        }
    }

    public function failed(): void
    {
        Arrival::query()->whereKey($this->arrivalId)->where('state', ArrivalState::Waiting)
            ->update([
                'state' => ArrivalState::Refused,
                'reason' => 'It could not be unpacked, three times over. The file is kept; drop it again to try once '
                    .'more.',
            ]);
    }
}

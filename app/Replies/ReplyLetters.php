<?php

declare(strict_types=1);

namespace App\Replies;

use App\Courses\PrivateLink;
use App\Mail\ReplyReleased;
use App\Models\HandIn;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Mail;

/** Letters to the students whose replies were released, as far as their addresses are known. */
final readonly class ReplyLetters
{
    /**
     * @param  Collection<int, HandIn>  $handIns  with their students and courses
     * @return list<string> the names of those who have no address
     */
    public static function send(Collection $handIns): array
    {
        $isReachable = fn (HandIn $one) => $one->student->email !== '';
        foreach ($handIns->filter($isReachable) as $handIn) {
            $link = PrivateLink::of($handIn->student)."/replies/$handIn->id";
            Mail::to($handIn->student->email)->send(new ReplyReleased($handIn, $link));
        }

        return array_values($handIns->reject($isReachable)->map(fn (HandIn $one) => $one->student->name)->all());
    }
}

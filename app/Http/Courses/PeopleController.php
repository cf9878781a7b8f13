<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Description\Status;
use App\Http\Shared\Controller;
use App\Mail\Invited;
use App\Mail\OutboxTransport;
use App\Models\Course;
use App\Models\Invitation;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Who sets and marks work in a course. */
final class PeopleController extends Controller
{
    public function index(Course $course): People
    {
        $people = DB::table('course_user')->join('users', 'users.id', '=', 'course_user.user_id')
            ->where('course_id', $course->id)->orderBy('users.name')
            ->get(['users.id', 'users.name', 'users.email', 'role']);

        return new People(
            array_values($people->map(
                fn (object $one) => new Person($one->id, $one->name, $one->email, $one->role),
            )->all()),
            array_values(Invitation::query()->open()->where('course_id', $course->id)->orderBy('email')->get()
                ->map(InvitationLine::of(...))->all()),
        );
    }

    /** Invites somebody by a link. The answer is the same whether they have an account or not, and they accept it. */
    #[Status(201)]
    public function invite(InviteRequest $request, Course $course): InvitationMade
    {
        $email = $request->string('email')->toString();
        $role = $request->string('role')->toString();
        $known = User::withEmail($email);
        if ($known?->roleIn($course->id) !== null) {
            throw ValidationException::withMessages(['email' => "{$known->name} is on this course already."]);
        }
        $token = Str::random(48);
        $invitation = DB::transaction(function () use ($request, $course, $email, $role, $token): Invitation {
            // Asked again, only the last link works.
            Invitation::query()->where('course_id', $course->id)
                ->whereRaw('lower(email) = lower(?)', [$email])->delete();

            return Invitation::query()->create([
                'course_id' => $course->id, 'user_id' => self::user($request)->id, 'email' => $email, 'role' => $role,
                'token_sha256' => hash('sha256', $token), 'expires_at' => now()->addDays(Invitation::DAYS),
            ]);
        });
        $link = config()->string('app.url')."/invitations/$token";
        Mail::to($email)->send(new Invited($invitation->load(['course', 'user']), $link));

        $isSent = self::reachesPeople();

        return new InvitationMade($isSent ? null : $link, $isSent);
    }

    /** Whether letters leave this machine. */
    private static function reachesPeople(): bool
    {
        return ! in_array(config('mail.default'), ['log', 'array', OutboxTransport::NAME, null], true);
    }

    /** Takes an invitation back: its link does not work any more. */
    public function takeBack(Invitation $invitation): void
    {
        $invitation->delete();
    }

    public function update(RoleRequest $request, Course $course, User $person): void
    {
        $role = $request->string('role')->toString();
        self::keepAnInstructor($course, $person, $role, function () use ($course, $person, $role): void {
            $course->users()->updateExistingPivot($person->id, ['role' => $role]);
        });
    }

    /** Takes somebody off the course. What they inked and wrote stays. */
    public function destroy(Request $request, Course $course, User $person): void
    {
        self::keepAnInstructor($course, $person, null, fn () => $course->users()->detach($person->id));
    }

    /** A course without an instructor could be changed by nobody. */
    private static function keepAnInstructor(Course $course, User $person, ?string $role, \Closure $change): void
    {
        abort_if($person->roleIn($course->id) === null, 404, 'There is nobody of that name on the course.');
        DB::transaction(function () use ($course, $person, $role, $change): void {
            Course::query()->whereKey($course->id)->lockForUpdate()->firstOrFail();
            $others = DB::table('course_user')->where('course_id', $course->id)->where('role', 'instructor')
                ->where('user_id', '!=', $person->id)->count();
            if ($role !== 'instructor' && $others === 0) {
                throw ValidationException::withMessages([
                    'role' => 'A course needs an instructor. Nothing was changed.',
                ]);
            }
            $change();
        });
    }
}

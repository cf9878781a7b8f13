<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Description\Status;
use App\Http\Shared\Controller;
use App\Models\Invitation;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** For whoever has the link of an invitation, without a session. */
final class InvitationController extends Controller
{
    private const GONE = 'This invitation was used or withdrawn, or has run out. Ask for another.';

    public function show(string $token): InvitationView
    {
        $invitation = Invitation::of($token);
        abort_if($invitation === null, 410, self::GONE);

        return new InvitationView(
            $invitation->course->title,
            $invitation->user->name ?? 'An instructor',
            $invitation->email,
            $invitation->role,
            User::withEmail($invitation->email) !== null,
        );
    }

    /**
     * Puts whoever is logged in on the course, where the invitation is theirs; or makes the account, and logs in with
     * it. Once.
     */
    #[Status(201)]
    public function accept(AcceptRequest $request, string $token): Me
    {
        $own = $request->user();
        $user = DB::transaction(function () use ($request, $token, $own): ?User {
            $invitation = Invitation::of($token);
            // Whoever deletes it has it: two at once do not both.
            if ($invitation === null || Invitation::query()->whereKey($invitation->id)->delete() === 0) {
                return null;
            }
            $user = User::withEmail($invitation->email);
            abort_if(
                $own instanceof User && $own->id !== $user?->id,
                409,
                "This invitation is for {$invitation->email}. Log out, and open it again.",
            );
            abort_if(
                $own === null && $user !== null,
                409,
                'This address has an account. Log in, and open this link again.',
            );
            $user ??= User::query()->create([
                'name' => $request->string('name')->toString(),
                'email' => $invitation->email,
                'password' => $request->string('password')->toString(),
            ]);
            $invitation->course->users()->syncWithoutDetaching([$user->id => ['role' => $invitation->role]]);

            return $user;
        });
        abort_if($user === null, 410, self::GONE);
        if ($own === null) {
            NewSession::begin($request, $user);
        }

        return Me::of($user);
    }
}

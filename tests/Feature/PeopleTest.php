<?php

declare(strict_types=1);

use App\Mail\Invited;
use App\Mail\OutboxTransport;
use App\Mail\PasswordForgotten;
use App\Models\Invitation;
use App\Models\Letter;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

const ACCEPTED = ['name' => 'Mo Marker', 'password' => 'pencil-and-ink'];

beforeEach(function () {
    $this->user = $this->instructor();
    $this->actingAs($this->user);
    $this->course = $this->assignment($this->user)->course;
    $this->at = "/api/courses/{$this->course->id}";
    $this->ask = fn (string $email = 'mo@example.org', string $role = 'marker') => $this->postJson(
        "$this->at/invitations",
        compact('email', 'role'),
    );
    $this->token = fn (string $link) => substr($link, strrpos($link, '/') + 1);
    $this->leave = function (): void {
        auth()->logout();
        $this->app['auth']->forgetGuards();
    };
});

it('asks somebody by a link that makes an account on the course, once', function () {
    Mail::fake();
    config(['mail.default' => 'smtp']);
    ($this->ask)()->assertCreated()->assertExactJson(['link' => null, 'sent' => true]);
    $letter = Mail::sent(Invited::class, fn (Invited $mail) => $mail->hasTo('mo@example.org'))->sole()->render();
    preg_match('~/invitations/(\w{48})~', $letter, $link);
    $token = $link[1];
    $this->getJson("$this->at/people")->assertJsonPath('people.0.role', 'instructor')->assertJsonPath(
        'invited.0.email',
        'mo@example.org',
    );
    expect(Invitation::query()->sole()->getAttributes())->not->toContain($token);

    ($this->leave)();
    $this->getJson("/api/invitations/$token")->assertOk()->assertJson(
        ['course' => $this->course->title, 'by' => 'A Teacher', 'role' => 'marker'],
    );
    $this->postJson("/api/invitations/$token", ['password' => 'short'] + ACCEPTED)->assertUnprocessable();
    $this->postJson("/api/invitations/$token", ACCEPTED)->assertCreated()->assertJson(['email' => 'mo@example.org']);
    $this->getJson($this->at)->assertOk()->assertJson(['role' => 'marker']);
    $this->getJson("/api/invitations/$token")->assertStatus(410);
    $this->postJson("/api/invitations/$token", ACCEPTED)->assertStatus(410);
    expect(User::query()->count())->toBe(2);
});

it('has links that run out, are taken back, or are followed by another', function (Closure $end) {
    $token = ($this->token)(($this->ask)()->json('link'));
    $end($this);
    ($this->leave)();

    $this->getJson("/api/invitations/$token")->assertStatus(410)->assertSee('Ask for another');
    $this->postJson("/api/invitations/$token", ACCEPTED)->assertStatus(410);
    expect(User::query()->count())->toBe(1);
})->with([
    'too old' => [fn ($test) => $test->travel(Invitation::DAYS)->days()],
    'taken back' => [
        fn ($test) => $test->deleteJson('/api/invitations/'.Invitation::query()->value('id'))->assertNoContent(),
    ],
    'asked again' => [fn ($test) => ($test->ask)('MO@example.org')->assertCreated()],
]);

it('says the same of somebody with an account, and puts them on the course once they accept', function () {
    $other = $this->instructor('other@example.org');
    $token = ($this->token)(($this->ask)('Other@Example.org')->assertCreated()->assertJson(['sent' => false])->json('link'));
    expect($other->fresh()->roleIn($this->course->id))->toBeNull();
    $this->postJson("/api/invitations/$token")->assertConflict()->assertSee('This invitation is for');
    ($this->leave)();
    $this->getJson("/api/invitations/$token")->assertOk()->assertJson(['hasAccount' => true]);
    $this->postJson("/api/invitations/$token", ACCEPTED)->assertConflict()->assertSee('Log in');
    $this->actingAs($other)->postJson("/api/invitations/$token")->assertCreated();

    expect($other->fresh()->roleIn($this->course->id))->toBe('marker');
    $this->postJson("/api/invitations/$token")->assertStatus(410);
});

it('says who is on the course already', function () {
    $this->course->users()->attach($this->instructor('other@example.org'), ['role' => 'marker']);
    ($this->ask)('other@example.org')->assertUnprocessable()->assertSee('is on this course already');
});

it('changes roles and takes people off, but leaves no course without an instructor', function () {
    $other = $this->instructor('other@example.org');
    $this->course->users()->attach($other, ['role' => 'marker']);
    $mine = "$this->at/people/{$this->user->id}";
    $this->deleteJson($mine)->assertUnprocessable()->assertSee('needs an instructor');
    $this->putJson($mine, ['role' => 'marker'])->assertUnprocessable();
    $this->putJson("$this->at/people/$other->id", ['role' => 'instructor'])->assertNoContent();
    $this->putJson($mine, ['role' => 'marker'])->assertNoContent();
    $this->app['auth']->forgetGuards();
    $this->actingAs($other->fresh())->deleteJson($mine)->assertNoContent();
    $this->deleteJson($mine)->assertNotFound();
    expect($this->course->users()->pluck('email')->all())->toBe(['other@example.org']);
});

it('changes one’s own name and password, the latter with the one that is known', function () {
    $this->putJson(
        '/api/me',
        ['name' => 'Ada Quill', 'current' => '', 'password' => ''],
    )->assertOk()->assertJson(['name' => 'Ada Quill']);
    $this->putJson(
        '/api/me',
        ['name' => 'A', 'current' => 'wrong', 'password' => 'another-password'],
    )->assertUnprocessable()->assertSee('not your password');
    $this->putJson(
        '/api/me',
        ['name' => 'A', 'current' => '', 'password' => 'another-password'],
    )->assertUnprocessable();
    DB::table('sessions')->insert(
        ['id' => 'elsewhere', 'user_id' => $this->user->id, 'payload' => '', 'last_activity' => 0],
    );
    $this->putJson(
        '/api/me',
        ['name' => 'A', 'current' => 'right-password', 'password' => 'another-password'],
    )->assertOk();
    expect(DB::table('sessions')->where('id', 'elsewhere')->exists())->toBeFalse();
    ($this->leave)();
    $this->postJson('/api/log-in', ['email' => 'teacher@example.org', 'password' => 'another-password'])->assertOk();
});

it('sets another password by a letter, once, and says nothing of who has an account', function () {
    Mail::fake();
    ($this->leave)();
    $this->postJson('/api/password/forgotten', ['email' => 'nobody@example.org'])->assertNoContent();
    $this->postJson('/api/password/forgotten', ['email' => 'teacher@example.org'])->assertNoContent();
    Mail::assertSentCount(1);
    $link = Mail::sent(PasswordForgotten::class)->sole()->link;
    parse_str((string) parse_url($link, PHP_URL_QUERY), $given);
    $set = fn (array $with) => $this->postJson(
        '/api/password/reset',
        $with + $given + ['password' => 'another-password'],
    );

    $set(['token' => 'false'])->assertUnprocessable()->assertSee('has run out');
    $set(['password' => 'short'])->assertUnprocessable();
    $set([])->assertNoContent();
    $set([])->assertUnprocessable();
    $this->postJson('/api/log-in', ['email' => 'teacher@example.org', 'password' => 'another-password'])->assertOk();
});

it('shows times by the clock that somebody chose, and by that of where they are until then', function () {
    $set = fn (array $with) => $this->putJson('/api/me', ['name' => 'Ada'] + $with);

    $this->getJson('/api/me')->assertJson(['timeZone' => null]);
    $set(['time_zone' => 'Pacific/Chatham'])->assertOk()->assertJson(['timeZone' => 'Pacific/Chatham']);
    $set([])->assertOk()->assertJson(['timeZone' => 'Pacific/Chatham']);
    $set(['time_zone' => 'Mars/Olympus'])->assertUnprocessable()->assertSee('no such time zone');
    $set(['time_zone' => ''])->assertOk()->assertJson(['timeZone' => null]);
});

it('logs in whatever the capitals of the address', function () {
    ($this->leave)();

    $this->postJson('/api/log-in', ['email' => 'Teacher@Example.org', 'password' => 'right-password'])->assertOk();
});

it('keeps letters for whoever runs the installation, and for nobody else, while no mail server is set', function () {
    config(['mail.default' => OutboxTransport::NAME]);
    $link = ($this->ask)()->assertCreated()->assertJson(['sent' => false])->json('link');
    $this->postJson('/api/password/forgotten', ['email' => 'teacher@example.org'])->assertNoContent();

    $letters = $this->getJson('/api/outbox')->assertOk()->json();
    expect(array_column($letters, 'to'))->toBe(['teacher@example.org', 'mo@example.org'])
        ->and($letters[1]['subject'])->toContain($this->course->title)->and($letters[1]['body'])->toContain($link)
        ->and($letters[0]['body'])->toContain('/set-password?token=');
    $other = $this->instructor('other@example.org');
    expect($this->user->refresh()->keeps_house)->toBeTrue()->and($other->refresh()->keeps_house)->toBeFalse();
    $this->actingAs($other)->getJson('/api/outbox')->assertForbidden()->assertSee('whoever runs');
    ($this->leave)();
    $this->getJson('/api/outbox')->assertUnauthorized();
});

it('forgets letters after a month', function () {
    Letter::query()->insert([
        ['to' => 'a@example.org', 'subject' => 'Old', 'body' => '', 'created_at' => now()->subDays(31)],
        ['to' => 'a@example.org', 'subject' => 'New', 'body' => '', 'created_at' => now()->subDays(29)],
    ]);
    $this->artisan('model:prune', ['--model' => [Letter::class]])->assertSuccessful();

    expect(Letter::query()->pluck('subject')->all())->toBe(['New']);
});

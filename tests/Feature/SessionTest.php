<?php

declare(strict_types=1);

use App\Models\User;

it('logs in with the right password and out again', function () {
    $this->instructor();

    $this->postJson(
        '/api/log-in',
        ['email' => 'teacher@example.org', 'password' => 'right-password'],
    )->assertOk()->assertJson(['name' => 'A Teacher']);
    $this->getJson('/api/me')->assertOk();
    $this->postJson('/api/log-out')->assertNoContent();
    $this->assertGuest();
});

it('refuses a wrong password without saying which of the two was wrong', function (string $email) {
    $this->instructor();

    $this->postJson('/api/log-in', ['email' => $email, 'password' => 'wrong'])
        ->assertUnprocessable()->assertJsonPath('errors.email.0', 'That address and password do not belong together.');
})->with(['teacher@example.org', 'nobody@example.org']);

it('makes whoever guesses wait', function () {
    for ($try = 1; $try <= 5; $try++) {
        $this->postJson(
            '/api/log-in',
            ['email' => 'teacher@example.org', 'password' => 'wrong'],
        )->assertUnprocessable();
    }

    $this->postJson('/api/log-in', ['email' => 'teacher@example.org', 'password' => 'wrong'])->assertTooManyRequests();
});

it('refuses a change without the session’s token', function () {
    $this->app['env'] = 'production';
    $this->actingAs($this->instructor());

    $this->postJson('/api/log-out')->assertStatus(419);
});

it('keeps passwords hashed and out of what it sends', function () {
    $user = $this->instructor();

    expect(User::query()->findOrFail($user->id)->password)->not->toContain('right-password')
        ->and(
            $this->actingAs($user)->getJson('/api/me')->json(),
        )->toHaveKeys(['id', 'name', 'email'])->not->toHaveKey('password');
});

it('does not keep an instructor out for what a stranger guesses elsewhere', function () {
    $this->instructor();
    for ($try = 1; $try <= 6; $try++) {
        $this->withServerVariables(['REMOTE_ADDR' => '203.0.113.7'])
            ->postJson('/api/log-in', ['email' => 'teacher@example.org', 'password' => "guess $try"]);
    }
    $this->postJson('/api/log-in', ['email' => 'teacher@example.org', 'password' => 'guess'])->assertTooManyRequests();

    $this->withServerVariables(['REMOTE_ADDR' => '198.51.100.9'])
        ->postJson('/api/log-in', ['email' => 'teacher@example.org', 'password' => 'right-password'])->assertOk();
});

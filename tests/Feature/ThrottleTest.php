<?php

declare(strict_types=1);

use App\Courses\CourseLink;
use App\Courses\PrivateLink;
use App\Models\Invitation;
use App\Models\User;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Support\Facades\RateLimiter;

beforeEach(function () {
    $this->user = $this->instructor();
    $this->work = $this->assignment($this->user);
    $this->logIn = fn (string $password, string $email = 'teacher@example.org') => $this
        ->postJson('/api/log-in', ['email' => $email, 'password' => $password]);
});

it('shuts nothing for anybody when somebody sends nothing, over and over', function () {
    for ($try = 0; $try < 125; $try++) {
        $this->postJson('/api/log-in', []);
    }
    $token = str_repeat('b', 40);
    Invitation::query()->create([
        'course_id' => $this->work->course_id, 'email' => 'i@example.org', 'role' => 'marker',
        'token_sha256' => hash('sha256', $token), 'expires_at' => now()->addDay(), 'user_id' => $this->user->id,
    ]);
    $link = basename(CourseLink::turnOn($this->work->course, null));

    $this->getJson("/api/join/$link")->assertOk();
    $this->postJson("/api/join/$link", ['handle' => 'wfinch'])->assertOk();
    expect($this->getJson("/api/invitations/$token")->status())->not->toBe(429)
        ->and(($this->logIn)('right-password')->status())->toBe(200);
});

it('keeps a class with the right link in, however many wrong ones are tried from its room', function () {
    $right = basename(PrivateLink::of($this->work->course->students()->firstOrFail()));
    for ($try = 0; $try < 70; $try++) {
        $last = $this->getJson("/api/my/wrong-$try");
    }

    $last->assertTooManyRequests();
    $this->getJson("/api/my/$right")->assertOk();
});

it('slows down the handle that is tried, and no other of the class', function () {
    $link = basename(CourseLink::turnOn($this->work->course, null));
    for ($try = 0; $try < 11; $try++) {
        $last = $this->postJson("/api/join/$link", ['handle' => 'nobody']);
    }

    $last->assertTooManyRequests();
    $this->postJson("/api/join/$link", ['handle' => 'wfinch'])->assertOk();
});

it('lets a colleague behind the same address log in while another’s account is tried', function () {
    User::factory()->createOne(['email' => 'colleague@example.org']);
    for ($try = 0; $try < 30; $try++) {
        ($this->logIn)("guess $try");
    }

    ($this->logIn)('guess')->assertTooManyRequests();
    ($this->logIn)('right-password', 'colleague@example.org')->assertOk();
});

it('lets the owner in from a browser that is known, while the account is tried from everywhere', function () {
    // As Laravel names what a limiter counts. Each try takes a fifth of a second, so that nobody can tell who exists.
    RateLimiter::increment(md5('log-inemail:teacher@example.org'), 3_600, 200);
    $this->withServerVariables(['REMOTE_ADDR' => '198.51.100.9']);
    ($this->logIn)('right-password')->assertTooManyRequests();

    $this->withCredentials()->withCookie('known_browser', "{$this->user->id}:abc");
    ($this->logIn)('right-password')->assertOk();
});

it('knows no browser by a cookie of another account', function () {
    $this->withCredentials()->withCookie('known_browser', '00000000-0000-7000-8000-000000000000:abc');
    for ($try = 0; $try < 6; $try++) {
        $last = ($this->logIn)('wrong');
    }

    $last->assertTooManyRequests();
});

it('knows a browser after somebody has logged in with it', function () {
    expect(($this->logIn)('right-password')->getCookie('known_browser')?->getValue())->toStartWith("{$this->user->id}:");
});

it('believes what a balancer says only when it is told to', function () {
    $from = fn () => $this->withHeaders(['X-Forwarded-For' => '203.0.113.7'])
        ->withServerVariables(['REMOTE_ADDR' => '127.0.0.1'])->get('/metrics');

    $from()->assertForbidden();
    config(['margin.trusted_proxies' => '127.0.0.1']);
    TrustProxies::at(['127.0.0.1']);
    $from()->assertForbidden();
    TrustProxies::flushState();
    $this->flushHeaders()->withServerVariables(['REMOTE_ADDR' => '127.0.0.1'])->get('/metrics')->assertOk();
});

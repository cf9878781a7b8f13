<?php

declare(strict_types=1);

use App\Accounts\CommonPasswords;
use App\Accounts\PasswordRule;
use App\Accounts\SecondFactor;
use App\Accounts\SendPasswordLink;
use App\Accounts\Totp;
use App\Models\User;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Validator;

beforeEach(function () {
    $this->user = $this->instructor();
    $this->logIn = fn (array $with = []) => $this->postJson('/api/log-in', $with + [
        'email' => 'teacher@example.org', 'password' => 'right-password',
    ]);
    /** Turns it on, and gives the secret and the recovery codes. */
    $this->turnOn = function (): array {
        $secret = SecondFactor::begin($this->user);
        $codes = SecondFactor::confirm($this->user, codeOf($secret));

        return [$secret, $codes];
    };
});

function codeOf(string $secret, int $later = 0): string
{
    $bits = implode('', array_map(
        fn (string $letter) => sprintf('%05b', strpos('ABCDEFGHIJKLMNOPQRSTUVWXYZ234567', $letter)),
        str_split($secret),
    ));
    $key = implode('', array_map(fn (string $byte) => chr((int) bindec($byte)), str_split($bits, 8)));

    return Totp::code($key, intdiv(now()->getTimestamp(), 30) + $later);
}

// RFC 6238, appendix B, the rows of SHA-1: the time in seconds, and eight digits.
it('makes the codes of RFC 6238', function (int $time, string $code) {
    expect(Totp::code('12345678901234567890', intdiv($time, 30), 8))->toBe($code);
})->with([
    [59, '94287082'], [1111111109, '07081804'], [1111111111, '14050471'], [1234567890, '89005924'],
    [2000000000, '69279037'], [20000000000, '65353130'],
]);

// RFC 4226, appendix D: the counter and six digits.
it('makes the codes of RFC 4226', function (int $count, string $code) {
    expect(Totp::code('12345678901234567890', $count))->toBe($code);
})->with([[0, '755224'], [1, '287082'], [2, '359152'], [3, '969429'], [9, '520489']]);

it('reads a secret in Base32, and takes the codes of the steps beside now', function (int $seconds, bool $taken) {
    // RFC 4648, section 6: the bytes 12345678901234567890.
    $secret = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';
    expect(Totp::step($secret, '287082', 45 + $seconds) !== null)->toBe($taken);
})->with([[0, true], [30, true], [-30, true], [60, false]]);

describe('logging in', function () {
    it('asks for a code only after the right password', function () {
        ($this->turnOn)();
        ($this->logIn)(['password' => 'wrong-password'])->assertUnprocessable()->assertJsonMissingValidationErrors('code');
        ($this->logIn)()->assertUnprocessable()->assertJsonValidationErrors('code');
        $this->getJson('/api/me')->assertUnauthorized();
    });

    it('takes a code once', function () {
        [$secret] = ($this->turnOn)();
        $this->travel(30)->seconds();
        $code = codeOf($secret);
        ($this->logIn)(['code' => $code])->assertOk()->assertJson(['secondFactor' => true]);
        $this->postJson('/api/log-out');
        ($this->logIn)(['code' => $code])->assertUnprocessable()->assertSee('was used already');
    });

    it('takes a recovery code once, however it is typed', function () {
        [, $codes] = ($this->turnOn)();
        ($this->logIn)(['code' => strtoupper(str_replace('-', ' ', $codes[0]))])->assertOk();
        $this->postJson('/api/log-out');
        ($this->logIn)(['code' => $codes[0]])->assertUnprocessable();
    });

    it('takes no more codes after ten wrong ones', function () {
        [$secret] = ($this->turnOn)();
        $this->withoutMiddleware(Illuminate\Routing\Middleware\ThrottleRequests::class);
        for ($time = 1; $time <= 10; $time++) {
            ($this->logIn)(['code' => '000000'])->assertUnprocessable();
        }
        $this->travel(30)->seconds();
        ($this->logIn)(['code' => codeOf($secret)])->assertUnprocessable()->assertSee('Too many wrong codes');
    });

    it('compares a hash of the same cost where there is no such account', function () {
        Hash::spy()->shouldReceive('check')->once()->andReturnFalse();
        Hash::shouldReceive('make')->andReturn('a hash');
        ($this->logIn)(['email' => 'nobody@example.org'])->assertUnprocessable();
    });

    it('has the letter for a forgotten password sent by a worker, whoever asks', function (string $email) {
        Bus::fake();
        $this->postJson('/api/password/forgotten', ['email' => $email])->assertNoContent();
        Bus::assertDispatched(SendPasswordLink::class);
    })->with(['teacher@example.org', 'nobody@example.org']);
});

describe('a second factor', function () {
    beforeEach(fn () => $this->actingAs($this->user));

    it('is set up with the password and a code', function () {
        $this->postJson('/api/me/second-factor', ['current' => 'wrong'])->assertUnprocessable();
        $made = $this->postJson('/api/me/second-factor', ['current' => 'right-password'])->assertCreated()->json();
        expect($made['address'])->toStartWith('otpauth://totp/')->toContain("secret={$made['secret']}");
        $this->getJson('/api/me')->assertJson(['secondFactor' => false]);
        $this->putJson('/api/me/second-factor', ['code' => '000000'])->assertUnprocessable();
        $codes = $this->putJson('/api/me/second-factor', ['code' => codeOf($made['secret'])])->assertOk()->json('codes');

        expect($codes)->toHaveCount(10)->and(array_unique($codes))->toHaveCount(10);
        $this->getJson('/api/me')->assertJson(['secondFactor' => true]);
    });

    it('keeps its secret sealed, and only hashes of the recovery codes', function () {
        [$secret, $codes] = ($this->turnOn)();
        $row = json_encode(DB::table('users')->where('id', $this->user->id)->first());

        expect($row)->not->toContain($secret)->not->toContain($codes[0]);
    });

    it('is turned off with the password, or by whoever runs the installation', function () {
        ($this->turnOn)();
        $this->deleteJson('/api/me/second-factor', ['current' => 'wrong'])->assertUnprocessable();
        $this->artisan('people:forget-second-factor', ['email' => 'teacher@example.org'])->assertSuccessful();
        ($this->logIn)()->assertOk();
    });

    it('is asked of everybody where the installation demands it', function () {
        config(['margin.second_factor' => true]);
        $this->getJson('/api/shelf')->assertForbidden()->assertSee('Set it up');
        $this->getJson('/api/me')->assertOk()->assertJson(['secondFactorDemanded' => true]);
        ($this->turnOn)();
        $this->actingAs($this->user->refresh())->getJson('/api/shelf')->assertOk();
    });
});

describe('a password', function () {
    $fails = fn (string $password, array $with = []) => Validator::make(
        $with + ['password' => $password],
        ['password' => [new PasswordRule]],
    )->errors()->first('password');

    it('is refused where many people use it', function (string $password) use ($fails) {
        expect($fails($password))->toContain('Many people use this password');
    })->with(['1234567890', 'Basketball', 'qwertyuiop']);

    it('is refused where it is made of the name or the address', function (string $password) use ($fails) {
        expect($fails($password, ['name' => 'Willa Oakhanger', 'email' => 'w.fennimore@school.example']))
            ->toContain('must not be made of your name or address');
    })->with(['oakhanger1', 'Fennimore!2', 'willaoakhanger', 'Oakhanger-Willa7']);

    it('is taken where it only has a word of the name in it', function () use ($fails) {
        expect($fails('willa-likes-green-tea', ['name' => 'Willa Oakhanger']))->toBe('');
    });

    // The first of the list that ships; from memory they are the first of every such list.
    it('is looked for in the list that ships', function (string $password, bool $isCommon) {
        expect(CommonPasswords::has($password))->toBe($isCommon);
    })->with([['password', true], ['PASSWORD', true], ['iloveyou', true], ['paper-and-ink', false], ['', false]]);

    it('that is one’s own is asked for a few times in a minute only', function () {
        $this->actingAs($this->user);
        $try = fn () => $this->putJson('/api/me', ['name' => 'A', 'current' => 'wrong', 'password' => 'a-new-password']);
        foreach (range(1, 5) as $time) {
            $try()->assertUnprocessable();
        }
        $try()->assertTooManyRequests();
    });

    it('ends the sessions in other browsers when it changes', function () {
        $this->withoutMiddleware(Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class);
        ($this->logIn)()->assertOk();
        $this->getJson('/api/me')->assertOk();
        User::query()->findOrFail($this->user->id)->update(['password' => 'changed-elsewhere']);
        auth()->forgetGuards();

        $this->getJson('/api/me')->assertUnauthorized();
    });
});

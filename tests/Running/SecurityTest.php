<?php

declare(strict_types=1);

use GuzzleHttp\Client;
use Symfony\Component\Process\Process;
use Tests\Running\Servers;

/**
 * What docs/security.md says of an installation, held against nginx and php-fpm by the files in deploy/, live and by TLS.
 */
beforeEach(function () {
    $this->servers = new Servers([]);
    $this->live = function (): array {
        $urls = $this->servers->web('web');
        $this->servers->artisan('migrate', '--force');
        [$own, $seen] = $this->servers->tls['web'];

        return ["https://127.0.0.1:$own", "https://localhost:$seen", $urls[0]];
    };
    $this->client = new Client(['http_errors' => false, 'verify' => false, 'allow_redirects' => false]);
});

afterEach(fn () => $this->servers->stop());

it('gives all answers the same headers, whoever answers', function () {
    [$own, $seen] = ($this->live)();
    $asset = basename((string) (glob("{$this->servers->root}/public/build/assets/client-*.js")[0] ?? ''));
    $addresses = [
        "$own/", "$own/api/me", "$own/api/none", "$own/health", "$own/build/assets/$asset", "$own/build/manifest.json",
        "$own/build/assets/none.js", "$seen/", "$seen/seen/none/x.html", "$seen/api/me",
    ];
    $missing = [];
    foreach ($addresses as $address) {
        $answer = $this->client->get($address);
        foreach ([
            'Strict-Transport-Security', 'X-Content-Type-Options', 'Referrer-Policy', 'Content-Security-Policy',
        ] as $header) {
            if (count($answer->getHeader($header)) !== 1) {
                $missing[] = "$header of $address: ".implode(' | ', $answer->getHeader($header));
            }
        }
        // Which versions answer is told to nobody.
        expect($answer->getHeaderLine('X-Powered-By'))->toBe('')->and($answer->getHeaderLine('Server'))->toBe('nginx');
    }
    expect($missing)->toBe([]);
});

it('speaks no version of TLS before 1.2', function (string $version, bool $speaks) {
    [$own] = ($this->live)();
    $curl = new Process([
        'curl', '-ks', "--tlsv$version", '--tls-max', $version, '--ciphers', 'DEFAULT@SECLEVEL=0', "$own/health",
    ]);
    $curl->run();

    expect(str_contains($curl->getOutput(), 'works'))->toBe($speaks);
})->with([['1.1', false], ['1.2', true], ['1.3', true]]);

it('keeps links out of its log', function () {
    [$own, $seen] = ($this->live)();
    $secret = str_repeat('s3cret', 8);
    foreach ([
        "$own/my/$secret", "$own/api/my/$secret/assignments/x", "$own/join/$secret", "$own/api/invitations/$secret",
        "$own/set-password?token=$secret&email=a", "$own/log-in?to=/invitations/$secret", "$seen/seen/$secret/index.html",
        "$own/api/my/$secret?x=$secret",
    ] as $address) {
        $this->client->get($address);
    }
    $log = (string) file_get_contents("{$this->servers->folder}/web-access.log");

    expect($log)->not->toContain('s3cret')->toContain('"GET /api/my/-/assignments/x"')->toContain('"GET /set-password"');
});

it('has cookies that scripts and other sites do not get', function () {
    $this->servers->env['SESSION_SECURE_COOKIE'] = 'true';
    [$own] = ($this->live)();
    $cookies = $this->client->get("$own/")->getHeader('Set-Cookie');
    $session = implode('', preg_grep('/session=/', $cookies) ?: []);

    expect($session)->toContain('httponly')->toContain('secure')->toContain('samesite=lax');
});

it('answers a request without its token, or for another host, with a refusal', function () {
    [$own, $seen] = ($this->live)();
    expect($this->client->post("$own/api/log-in", ['json' => ['email' => 'a@b.example', 'password' => 'x']])->getStatusCode())
        ->toBe(419)
        ->and($this->client->get("$seen/api/me")->getStatusCode())->toBe(404)
        ->and((string) $this->client->get("$own/.env")->getBody())->not->toContain('APP_')
        ->and($this->client->post("$seen/", ['body' => str_repeat('x', 20_000)])->getStatusCode())->toBe(413)
        ->and($this->client->request('TRACE', "$own/")->getStatusCode())->toBe(405);
});

it('shows no trace where something breaks', function () {
    [$own] = ($this->live)();
    $this->servers->sql('alter table courses rename to courses_gone');
    $body = (string) $this->client->get("$own/api/first-run")->getBody()
        .$this->client->get("$own/health")->getBody().$this->client->get("$own/api/join/x")->getBody();

    expect($body)->not->toContain('SQLSTATE')->not->toContain('vendor/')->not->toContain('#0 ');
});

it('writes backups that their owner alone can read', function () {
    ($this->live)();
    $this->servers->artisan('backup:write', $folder = "{$this->servers->folder}/backup");
    $modes = trim($this->servers->run(['find', $folder, '-type', 'f', '-printf', '%m\n']));

    expect(array_unique(explode("\n", $modes)))->toBe(['600']);
});

it('has services that can do little harm', function () {
    $root = "{$this->servers->folder}/systemd";
    $units = "$root/etc/systemd/system";
    $this->servers->run(['mkdir', '-p', $units, "$root/usr/bin"]);
    $this->servers->run(['cp', '-r', "{$this->servers->root}/deploy/systemd/.", $units]);
    $this->servers->run(['cp', '/bin/true', "$root/usr/bin/php"]);
    $verify = new Process(['systemd-analyze', 'verify', ...(glob("{$this->servers->root}/deploy/systemd/*.service") ?: [])]);
    $verify->run();
    expect($verify->getErrorOutput())->toBe('');
    foreach (glob("$units/*.service") ?: [] as $unit) {
        $name = str_replace('@.', '@1.', basename($unit));
        $analysis = $this->servers->run(['systemd-analyze', 'security', '--offline=true', "--root=$root", $name]);
        preg_match('/exposure level for \S+: ([\d.]+)/', $analysis, $level);

        expect((float) $level[1])->toBeLessThan(3.0, $name);
    }
});

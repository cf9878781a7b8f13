<?php

declare(strict_types=1);

namespace Tests\Running;

use RuntimeException;
use Symfony\Component\Process\Process;

/** Real servers on loopback, in a folder of their own, for as long as a test takes. */
final class Servers
{
    private const SECONDS = 30;

    public readonly string $folder;

    public readonly string $root;

    /** @var array<string, Process> */
    private array $running = [];

    /** @var array<string, array{int, int}> ports of the application and of students' pages by TLS, by web host */
    public array $tls = [];

    /** @param  array<string, string>  $env  settings of the application */
    public function __construct(public array $env)
    {
        $this->root = dirname(__DIR__, 2);
        $this->folder = sys_get_temp_dir().'/margin-running-'.bin2hex(random_bytes(6));
        foreach ([
            '', '/storage/app', '/storage/logs', '/storage/framework/views', '/storage/framework/cache', '/bucket',
            '/nginx',
        ] as $part) {
            mkdir($this->folder.$part, 0o755, true);
        }
        $this->env = [
            ...array_filter(
                getenv(),
                fn (string $name) => str_starts_with($name, 'DB_') || $name === 'PATH',
                ARRAY_FILTER_USE_KEY,
            ),
            'APP_ENV' => 'production', 'APP_DEBUG' => 'false', 'APP_KEY' => 'base64:'.base64_encode(random_bytes(32)),
            'LARAVEL_STORAGE_PATH' => "$this->folder/storage", 'LOG_CHANNEL' => 'json',
            'LOG_STREAM' => "$this->folder/log.jsonl",
            'BCRYPT_ROUNDS' => '4', 'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'database',
            'QUEUE_CONNECTION' => 'database',
            'DB_DATABASE' => 'inked_margin_'.bin2hex(random_bytes(4)), 'HOME' => $this->folder,
            ...$env,
        ];
        $this->sql('create database '.$this->env['DB_DATABASE'], 'postgres');
    }

    public static function port(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('There is no free port.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, strrpos($name, ':') + 1);
    }

    /** Redis as it comes, for sessions, cache and queue. */
    public function redis(): void
    {
        $port = self::port();
        $this->start(
            'redis',
            [
                'redis-server', '--port', (string) $port, '--bind', '127.0.0.1', '--dir', $this->folder, '--appendonly',
                'yes', '--appendfsync', 'always',
            ],
        );
        self::await($port);
        $this->env = [...$this->env, 'REDIS_HOST' => '127.0.0.1', 'REDIS_PORT' => (string) $port, 'REDIS_CLIENT' => 'predis',
            'SESSION_DRIVER' => 'redis', 'CACHE_STORE' => 'redis', 'QUEUE_CONNECTION' => 'redis'];
    }

    /**
     * An S3-compatible stand-in: s3rver 3.7.1 (npm), with the key that it comes with.
     *
     * @param  int  $wait  milliseconds by which it is slower
     */
    public function storage(int $wait = 0): void
    {
        $port = self::port();
        $this->start(
            's3',
            [
                'node',
                "$this->root/node_modules/s3rver/bin/s3rver.js",
                '-d',
                "$this->folder/bucket",
                '-a',
                '127.0.0.1',
                '-p',
                (string) $port,
                '--configure-bucket',
                'margin',
                '--silent',
            ],
        );
        self::await($port);
        if ($wait > 0) {
            [$target, $port] = [$port, self::port()];
            $this->start(
                'slow',
                ['node', "$this->root/tests/Faults/slow.mjs", (string) $port, (string) $target, (string) $wait],
            );
            self::await($port);
        }
        $this->env = [...$this->env, 'BLOB_DISK' => 's3', 'AWS_ENDPOINT' => "http://127.0.0.1:$port", 'AWS_BUCKET' => 'margin',
            'AWS_DEFAULT_REGION' => 'us-east-1', 'AWS_ACCESS_KEY_ID' => 'S3RVER', 'AWS_SECRET_ACCESS_KEY' => 'S3RVER',
            'AWS_USE_PATH_STYLE_ENDPOINT' => 'true'];
    }

    /**
     * nginx and php-fpm by the files in deploy/, with addresses of this machine in place of theirs.
     *
     * @param  int|null  $seen  the port of students' pages, where another host has them already
     * @return array{string, string} the addresses of the application and of students' pages
     */
    public function web(string $name, ?int $seen = null): array
    {
        [$port, $own] = [self::port(), self::port()];
        $urls = ["http://127.0.0.1:$port", 'http://localhost:'.($seen ?? $own)];
        $this->env += ['APP_URL' => $urls[0], 'SEEN_URL' => $urls[1]];
        $socket = "$this->folder/$name.sock";
        $pool = strtr((string) file_get_contents("$this->root/deploy/php-fpm/inked-margin.conf"), [
            '/run/php/inked-margin.sock' => $socket, 'www-data' => self::user(),
            'pm.start_servers = 4' => 'pm.start_servers = 2',
        ]);
        file_put_contents(
            "$this->folder/$name-fpm.conf",
            "[global]\ndaemonize = no\nerror_log = $this->folder/$name-fpm.log\n$pool",
        );
        // Settings and addresses are kept ready, as docs/running.md has it; in a folder of the test's, as the code is
        // not its own.
        $kept = [
            'APP_CONFIG_CACHE' => "$this->folder/$name-config.php",
            'APP_ROUTES_CACHE' => "$this->folder/$name-routes.php",
            'APP_EVENTS_CACHE' => "$this->folder/$name-events.php",
        ];
        $this->run(['php', 'artisan', 'optimize'], $kept);
        $this->start("$name-fpm", [
            'php-fpm8.2', '-F', ...(self::user() === 'root' ? ['-R'] : []), '-y', "$this->folder/$name-fpm.conf",
        ], $kept);
        $site = strtr((string) file_get_contents("$this->root/deploy/nginx/inked-margin.conf"), [
            '/srv/inked-margin' => $this->root, '/run/php/inked-margin.sock' => $socket,
            // Debian's nginx tells hosts without their port, which is not the usual one here.
            'include /etc/nginx/fastcgi_params;' => 'include /etc/nginx/fastcgi_params; fastcgi_param HTTP_HOST $host:$server_port;',
            'seen-margin.school.example' => 'localhost', 'margin.school.example' => '127.0.0.1',
        ]);
        $site = preg_replace('/^\s*ssl_certificate.*$/m', '', $site) ?? '';
        // Each host by http, as other tests ask for it, and by TLS.
        $this->run([
            'openssl', 'req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '1', '-subj', '/CN=localhost', '-keyout',
            "$this->folder/tls.key", '-out', "$this->folder/tls.pem",
        ]);
        $this->tls[$name] = [self::port(), self::port()];
        foreach ([$port, $own] as $at => $listen) {
            $site = preg_replace(
                '/listen 443 ssl;/',
                "listen 127.0.0.1:$listen; listen 127.0.0.1:{$this->tls[$name][$at]} ssl; ssl_certificate "
                    ."$this->folder/tls.pem; ssl_certificate_key $this->folder/tls.key;",
                $site,
                1,
            ) ?? '';
        }
        $site = strtr($site, [
            'listen 80;' => 'listen 127.0.0.1:'.self::port().';',
            '/var/log/nginx/inked-margin.log' => "$this->folder/$name-access.log",
        ]);
        file_put_contents("$this->folder/$name-nginx.conf", implode("\n", [
            ...(self::user() === 'root' ? ['user root;'] : []),
            "pid $this->folder/$name-nginx.pid;", "error_log $this->folder/$name-nginx.log;", 'events {}', 'http {',
            'include /etc/nginx/mime.types;',
            "client_body_temp_path $this->folder/nginx/$name-body;",
            "fastcgi_temp_path $this->folder/nginx/$name-fastcgi;", "proxy_temp_path $this->folder/nginx/$name-proxy;",
            "uwsgi_temp_path $this->folder/nginx/$name-uwsgi;", "scgi_temp_path $this->folder/nginx/$name-scgi;", $site,
            '}',
        ]));
        $this->run(['nginx', '-t', '-c', "$this->folder/$name-nginx.conf"]);
        $this->start("$name-nginx", ['nginx', '-c', "$this->folder/$name-nginx.conf", '-g', 'daemon off;']);
        self::await($port);
        $until = microtime(true) + self::SECONDS;
        while (! file_exists($socket) && microtime(true) < $until) {
            usleep(50_000);
        }

        return $urls;
    }

    /** @param  list<string>  $before  what the worker runs under, such as another clock */
    public function worker(string $name, array $before = []): void
    {
        $this->start($name, [...$before, 'php', '-d', 'memory_limit=512M', '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M',
            'artisan', 'queue:work', '--queue=default,second,later,tries,fetches,slow-fetches', '--sleep=0.3', '--tries=3']);
    }

    /** @param  string  ...$command  of artisan */
    public function artisan(string ...$command): string
    {
        return $this->run(['php', 'artisan', ...array_values($command)]);
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $env
     * @return string what it printed
     */
    public function run(array $command, array $env = []): string
    {
        $process = new Process($command, $this->root, [...$this->env, ...$env], timeout: 300);
        $process->run();

        return $process->isSuccessful() ? $process->getOutput() : throw new RuntimeException(
            implode(' ', $command)."\n".$process->getOutput().$process->getErrorOutput(),
        );
    }

    /** @return string the value that a query gives */
    public function sql(string $query, ?string $database = null): string
    {
        return trim($this->run(
            [
                'psql', '-h', $this->env['DB_HOST'], '-p', $this->env['DB_PORT'], '-U', $this->env['DB_USERNAME'], '-d',
                $database ?? $this->env['DB_DATABASE'], '-Atc', $query,
            ],
            ['PGPASSWORD' => $this->env['DB_PASSWORD']],
        ));
    }

    /** Ends a server with all of its processes as the machine would: without a word. */
    public function kill(string $name): void
    {
        $process = $this->running[$name];
        if ($process->isRunning()) {
            // The master first: it would start others in their place.
            $children = $this->run(['bash', '-c', 'pgrep -P '.$process->getPid().' || true']);
            $process->signal(SIGKILL);
            $process->wait();
            foreach (array_filter(explode("\n", trim($children))) as $child) {
                posix_kill((int) $child, SIGKILL);
            }
        }
    }

    public function restart(string $name): void
    {
        $this->running[$name] = $this->running[$name]->restart();
    }

    public function stop(): void
    {
        foreach (array_reverse($this->running) as $process) {
            $process->stop(3, SIGTERM);
        }
        try {
            $this->sql("drop database if exists {$this->env['DB_DATABASE']} with (force)", 'postgres');
        } finally {
            if (getenv('MARGIN_TEST_KEEP') !== false) {
                fwrite(STDERR, "\nkept in $this->folder\n");

                return;
            }
            (new Process(['rm', '-rf', $this->folder]))->run();
        }
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $env
     */
    private function start(string $name, array $command, array $env = []): void
    {
        $process = new Process($command, $this->root, [...$this->env, ...$env], timeout: null);
        $process->disableOutput();
        $process->start();
        $this->running[$name] = $process;
    }

    private static function await(int $port): void
    {
        $until = microtime(true) + self::SECONDS;
        while (! self::answers($port)) {
            if (microtime(true) > $until) {
                throw new RuntimeException("Nobody answers at port $port.");
            }
            usleep(50_000);
        }
    }

    private static function answers(int $port): bool
    {
        // That nobody answers yet is no warning.
        set_error_handler(fn () => true);
        try {
            $socket = stream_socket_client("tcp://127.0.0.1:$port", timeout: 1.0);

            return is_resource($socket) && fclose($socket);
        } finally {
            restore_error_handler();
        }
    }

    private static function user(): string
    {
        return (string) (posix_getpwuid(posix_getuid())['name'] ?? 'root');
    }
}

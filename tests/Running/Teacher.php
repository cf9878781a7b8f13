<?php

declare(strict_types=1);

namespace Tests\Running;

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Psr\Http\Message\ResponseInterface;
use RuntimeException;

/** Somebody who teaches with the application, by HTTP as the interface does. */
final class Teacher
{
    private readonly CookieJar $cookies;

    private int $turn = 0;

    /** @param  non-empty-list<string>  $hosts  the addresses of one application, asked in turn */
    public function __construct(private readonly array $hosts)
    {
        $this->cookies = new CookieJar;
    }

    /** @param  array<string, mixed>  $options  of Guzzle */
    public function ask(string $method, string $path, array $options = []): ResponseInterface
    {
        $host = $this->hosts[$this->turn++ % count($this->hosts)];
        $token = '';
        foreach ($this->cookies->toArray() as $cookie) {
            $token = $cookie['Name'] === 'XSRF-TOKEN' ? urldecode((string) $cookie['Value']) : $token;
        }

        // All hosts are one: their cookies are for 127.0.0.1, on whichever port.
        return (new Client(
            ['base_uri' => $host, 'http_errors' => false, 'cookies' => $this->cookies, 'timeout' => 120],
        ))->request($method, $path, $options + [
            'headers' => ['Accept' => 'application/json', 'X-XSRF-TOKEN' => $token],
        ]);
    }

    /**
     * @param  array<string, mixed>  $options
     * @return array<mixed>
     */
    public function json(string $method, string $path, array $options = []): array
    {
        $answer = $this->ask($method, $path, $options);
        if ($answer->getStatusCode() >= 300) {
            throw new RuntimeException(
                "$method $path: {$answer->getStatusCode()} ".substr((string) $answer->getBody(), 0, 800),
            );
        }
        /** @var array<mixed>|null $json */
        $json = json_decode((string) $answer->getBody(), true);

        return $json ?? [];
    }

    /** Makes the first account, a course with students and an assignment; gives the assignment's id. */
    public function set(int $students): string
    {
        $this->json('GET', '/api/first-run');
        $this->json(
            'POST',
            '/api/first-run',
            ['json' => [
                'name' => 'Rowan',
                'email' => 'rowan@example.org',
                'password' => 'paper-and-ink',
                'timeZone' => 'Europe/London',
            ]],
        );
        $course = $this->json(
            'POST',
            '/api/courses',
            ['json' => ['title' => 'Web Craft', 'school' => '', 'term' => '', 'timeZone' => 'Europe/London']],
        )['id'];
        $roster = "name,handle\n".implode(
            "\n",
            array_map(fn (int $nth) => "Student Nr$nth,stud$nth", range(1, $students)),
        );
        $this->json('PUT', "/api/courses/$course/roster", ['json' => ['text' => $roster]]);
        $work = $this->json(
            'POST',
            "/api/courses/$course/assignments",
            ['json' => ['title' => 'Round', 'summary' => '', 'due' => null]],
        )['id'];
        $brief = "title: Round\nrequirements:\n  - {id: t, title: Titles, kind: titles, points: 4}\n  - {id: f, title: Files, kind: files, names: [index.html, two.html], points: 6}\n";
        $this->json('PUT', "/api/assignments/$work/brief", ['json' => ['source' => $brief]]);

        return is_string($work) ? $work : '';
    }

    /** Drops one zip of a class. */
    public function drop(string $work, string $zip): void
    {
        $this->json('POST', "/api/assignments/$work/arrivals", ['multipart' => [
            ['name' => 'files[]', 'filename' => 'class.zip', 'contents' => fopen($zip, 'rb')],
        ]]);
    }

    /** @return list<array<mixed>> the rows of the class sheet */
    public function rows(string $work): array
    {
        $rows = $this->json('GET', "/api/assignments/$work/class-sheet")['rows'] ?? [];

        /** @var list<array<mixed>> */
        return is_array($rows) ? array_values($rows) : [];
    }

    /** How many hand-ins are checked; waits until it is so many. */
    public function awaitChecked(string $work, int $number, int $seconds): int
    {
        $until = microtime(true) + $seconds;
        do {
            $checked = count(array_filter($this->rows($work), fn (array $row) => $row['awarded'] !== null));
            usleep(200_000);
        } while ($checked < $number && microtime(true) < $until);

        return $checked;
    }
}

<?php

declare(strict_types=1);

// A stand-in for the hosts on which students publish: a folder for each host name beside this file, served as a static host
// does, from PHP's own web server. `host.json` in such a folder says what is odd about it:
//   appears_after  seconds after the stand-in was started before anything is there
//   listing        shows what is in a folder without a home page, instead of refusing to
//   types          content types by extension, in place of the right ones
//   redirects      where paths lead on to
//   latin1         sends headers in Latin-1, and not in UTF-8
//   silent         never answers
//   drip           sends a byte a second
//   bytes          sends so many bytes for every path
// Settings: STAND_IN_ROOT, the folder of the hosts; STAND_IN_SINCE, when it was started, in seconds since 1970.

const TYPES = [
    'html' => 'text/html; charset=utf-8', 'htm' => 'text/html; charset=utf-8', 'css' => 'text/css; charset=utf-8', 'js' => 'text/javascript',
    'png' => 'image/png', 'jpg' => 'image/jpeg', 'jpeg' => 'image/jpeg', 'gif' => 'image/gif', 'svg' => 'image/svg+xml', 'txt' => 'text/plain',
    'pdf' => 'application/pdf',
];

function answer(int $status, string $body, string $type = 'text/html; charset=utf-8'): void
{
    http_response_code($status);
    header("Content-Type: $type");
    echo $body;
}

// What is said of a file is what is meant.
ini_set('default_charset', '');
$host = preg_replace('/:\d+$/', '', strtolower($_SERVER['HTTP_HOST'] ?? ''));
$root = (getenv('STAND_IN_ROOT') ?: __DIR__)."/$host";
if (preg_match('/^[a-z0-9.-]+$/', (string) $host) !== 1 || ! is_dir($root)) {
    answer(404, '<title>No such host</title>');

    return;
}
$odd = is_file("$root/host.json") ? json_decode((string) file_get_contents("$root/host.json"), true) : [];
$path = rawurldecode((string) parse_url($_SERVER['REQUEST_URI'], PHP_URL_PATH));
if ($odd['silent'] ?? false) {
    sleep(120);

    return;
}
if (isset($odd['appears_after']) && time() < (int) getenv('STAND_IN_SINCE') + $odd['appears_after']) {
    answer(404, '<title>Not found</title>');

    return;
}
$sent = fn (string $header) => ($odd['latin1'] ?? false) ? mb_convert_encoding($header, 'ISO-8859-1', 'UTF-8') : $header;
if (isset($odd['redirects'][$path])) {
    header($sent("Location: {$odd['redirects'][$path]}"), true, 302);

    return;
}
if ($odd['drip'] ?? false) {
    header('Content-Type: text/html');
    for ($second = 0; $second < 120; $second++) {
        echo ' ';
        @ob_flush();
        flush();
        sleep(1);
    }

    return;
}
if (isset($odd['bytes'])) {
    header('Content-Type: text/html');
    for ($sent = 0; $sent < $odd['bytes']; $sent += 65_536) {
        echo str_repeat('x', 65_536);
    }

    return;
}
if (in_array('..', explode('/', $path), true) || basename($path) === 'host.json') {
    answer(404, '<title>Not found</title>');

    return;
}
$file = $root.$path;
if (is_dir($file) && ! str_ends_with($path, '/')) {
    header("Location: $path/", true, 301);

    return;
}
if (is_dir($file)) {
    if (! is_file("{$file}index.html")) {
        ($odd['listing'] ?? false)
            ? answer(200, "<title>Index of $path</title><ul><li>".implode('<li>', scandir($file) ?: []).'</ul>')
            : answer(403, '<title>Forbidden</title>');

        return;
    }
    $file .= 'index.html';
}
if (! is_file($file)) {
    answer(404, '<title>Not found</title>');

    return;
}
$extension = strtolower(pathinfo($file, PATHINFO_EXTENSION));
$type = $sent($odd['types'][$extension] ?? TYPES[$extension] ?? 'application/octet-stream');
answer(200, (string) file_get_contents($file), $type);

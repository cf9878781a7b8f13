<?php

declare(strict_types=1);

// For PHP's built-in server, what nginx does elsewhere: files of the interface are sent with their headers (their names
// hold their hash, so that they may be kept for ever), bodies are compressed; everything that is no file is the
// application's.

ob_start(function (string $body): string {
    $mayCompress = str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip');
    // 204 and 304 have no body, not even a compressed nothing (RFC 9110, 15.3.5 and 15.4.5).
    if (! $mayCompress || strlen($body) < 1_000 || in_array(http_response_code(), [204, 304], true)) {
        return $body;
    }
    header('Content-Encoding: gzip');
    header('Vary: Accept-Encoding', false);
    header_remove('Content-Length');

    return (string) gzencode($body, 5);
});

$public = dirname(__DIR__, 2).'/public';
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
// No file has NUL in its name, and realpath() fails on it.
$file = str_contains($path, '%00') ? false : realpath($public.rawurldecode($path));
$types = [
    'js' => 'text/javascript; charset=utf-8', 'css' => 'text/css; charset=utf-8', 'svg' => 'image/svg+xml',
    'woff2' => 'font/woff2', 'woff' => 'font/woff', 'json' => 'application/json',
];
$type = $types[pathinfo((string) $file, PATHINFO_EXTENSION)] ?? null;
if ($file !== false && $type !== null && is_file($file) && str_starts_with($file, "$public/")) {
    $isKept = str_starts_with($path, '/build/assets/');
    header("Content-Type: $type");
    header('X-Content-Type-Options: nosniff');
    header('Referrer-Policy: same-origin');
    header('Cache-Control: '.($isKept ? 'public, max-age=31536000, immutable' : 'no-cache'));
    readfile($file);

    return true;
}
require "$public/index.php";

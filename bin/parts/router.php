<?php

declare(strict_types=1);

// For PHP's built-in server: what is a file of the interface is sent with the headers that nginx would give it (its names hold
// their hash, so that it may be kept for ever); everything else is the application's.

$public = dirname(__DIR__, 2).'/public';
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$file = realpath($public.rawurldecode($path));
$types = ['js' => 'text/javascript', 'css' => 'text/css', 'svg' => 'image/svg+xml', 'woff2' => 'font/woff2', 'woff' => 'font/woff', 'json' => 'application/json'];
$type = $types[pathinfo((string) $file, PATHINFO_EXTENSION)] ?? null;
if ($file !== false && $type !== null && is_file($file) && str_starts_with($file, $public.'/')) {
    header("Content-Type: $type".(str_starts_with($type, 'text/') ? '; charset=utf-8' : ''));
    header('X-Content-Type-Options: nosniff');
    header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
    readfile($file);

    return true;
}
require $public.'/index.php';

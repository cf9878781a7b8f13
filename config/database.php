<?php

declare(strict_types=1);

$redis = fn (string $database, string $usual) => [
    'host' => env('REDIS_HOST', '127.0.0.1'),
    'password' => env('REDIS_PASSWORD'),
    'port' => env('REDIS_PORT', '6379'),
    'database' => env($database, $usual),
];

return [

    'default' => 'pgsql',

    // Whether a web process keeps its connection from one request to the next.
    'persistent' => (bool) env('DB_PERSISTENT', true),

    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'inked_margin'),
            'username' => env('DB_USERNAME', 'inked_margin'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => 'public',
            'sslmode' => env('DB_SSLMODE', 'prefer'),
        ],
    ],

    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],

    'redis' => [
        'client' => env('REDIS_CLIENT', 'predis'),
        'options' => ['prefix' => env('REDIS_PREFIX', 'inked_margin:')],
        // The queue and the sessions; what is cached can go at any time, and has a database of its own.
        'default' => $redis('REDIS_DB', '0'),
        'cache' => $redis('REDIS_CACHE_DB', '1'),
    ],

];

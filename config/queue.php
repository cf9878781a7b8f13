<?php

declare(strict_types=1);

$isRedis = env('QUEUE_CONNECTION') === 'redis';

return [

    'connections' => [
        // Work that takes minutes: a worker of its own sees to it, and nobody takes it for lost while it is at it.
        'records' => [
            'driver' => match (env('QUEUE_CONNECTION', 'database')) {
                'sync' => 'sync',
                'redis' => 'redis',
                default => 'database',
            },
            'connection' => $isRedis ? 'default' : null,
            'table' => 'jobs',
            'queue' => 'records',
            'retry_after' => 7_200,
            'block_for' => null,
            'after_commit' => true,
        ],
    ],

];

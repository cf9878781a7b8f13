<?php

declare(strict_types=1);

$isRedis = env('QUEUE_CONNECTION') === 'redis';

return [

    'connections' => [
        // Unlike a row of the database, a job in Redis is there before its transaction is: it waits for that to be
        // over.
        'redis' => [
            'driver' => 'redis',
            'connection' => 'default',
            'queue' => 'default',
            'retry_after' => (int) env('REDIS_QUEUE_RETRY_AFTER', 90),
            'block_for' => null,
            'after_commit' => true,
        ],
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

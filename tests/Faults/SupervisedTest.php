<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;
use Tests\Running\Servers;

it('brings back whatever ends of what bin/start has started, and ends all of it when it is stopped', function () {
    $settings = array_fill_keys(array_filter(
        array_keys(getenv()),
        fn (string $name) => preg_match('/^(?:MARGIN|DB|APP|QUEUE|STAND_IN|LARAVEL)_/', $name) === 1,
    ), false);
    $process = new Process(
        ['bash', __DIR__.'/supervised.sh'],
        env: [
            'MARGIN_PORT' => (string) Servers::port(), 'MARGIN_DB_PORT' => (string) Servers::port(),
            'MARGIN_SEEN_PORT' => (string) Servers::port(), 'MARGIN_STAND_IN_PORT' => (string) Servers::port(),
        ] + $settings,
        timeout: 400,
    );
    $process->run();

    expect($process->getExitCode())->toBe(0, $process->getOutput().$process->getErrorOutput())
        ->and(substr_count($process->getOutput(), 'passed'))->toBe(14);
});

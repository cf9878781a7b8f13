<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Command;

use InkedMargin\Core\Command\Margin;

/** Runs the command line without a process of its own. */
final readonly class RunMargin
{
    /** @return array{int, string, string} exit code, output, errors */
    public static function with(string $in, string ...$arguments): array
    {
        [$input, $out, $errors] = [fopen('php://memory', 'r+'), fopen('php://memory', 'r+'), fopen('php://memory', 'r+')];
        fwrite($input, $in);
        rewind($input);
        $code = (new Margin($input, $out, $errors))->run(array_values($arguments));
        rewind($out);
        rewind($errors);

        return [$code, stream_get_contents($out), stream_get_contents($errors)];
    }
}

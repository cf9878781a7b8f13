<?php

declare(strict_types=1);

use InkedMargin\Core\Command\Margin;

/** @return array{int, string, string} exit code, output, errors */
function margin(string $in, string ...$arguments): array
{
    [$input, $out, $errors] = [fopen('php://memory', 'r+'), fopen('php://memory', 'r+'), fopen('php://memory', 'r+')];
    fwrite($input, $in);
    rewind($input);
    $code = (new Margin($input, $out, $errors))->run(array_values($arguments));
    rewind($out);
    rewind($errors);

    return [$code, stream_get_contents($out), stream_get_contents($errors)];
}

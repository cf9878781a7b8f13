<?php

declare(strict_types=1);

namespace InkedMargin\Core\Command;

use InkedMargin\Core\Report\ClassLine;
use InkedMargin\Core\Report\ClassReport;

/**
 * Checks every zip and folder in a folder, each in a process of its own, as many at a time as there are cores: one that
 * breaks off takes no other with it.
 */
final readonly class CheckAll
{
    private const MAX_WORKERS = 64;

    /**
     * @param  list<string>  $options  for each `margin check`
     * @param  array<string, RosterStudent>  $roster  by lower-case handle
     */
    public function __construct(private array $options, private array $roster, private int $workers)
    {
    }

    /** @throws UsageError where there is nothing to check */
    public function run(string $folder): ClassReport
    {
        $paths = $this->paths($folder);
        $lines = [];
        $running = [];
        while ($paths !== [] || $running !== []) {
            while ($paths !== [] && count($running) < $this->workers) {
                $running[] = $this->start(array_shift($paths));
            }
            foreach ($running as $key => $check) {
                if (proc_get_status($check->process)['running']) {
                    continue;
                }
                $lines[basename($check->path)] = $this->line($check->path, $check->answer);
                proc_close($check->process);
                unset($running[$key]);
            }
            usleep(2_000);
        }
        ksort($lines, SORT_NATURAL | SORT_FLAG_CASE);

        return new ClassReport(array_values($lines));
    }

    /** As many as there are cores; one where nobody can tell. */
    public static function cores(): int
    {
        $listed = is_readable('/proc/cpuinfo') ? (string) file_get_contents('/proc/cpuinfo') : '';

        return min(self::MAX_WORKERS, max(1, (int) preg_match_all('/^processor\s*:/m', $listed)));
    }

    /**
     * @param  string  $text  CSV: a handle and a name in each line, in either order, with or without a heading
     * @return array<string, RosterStudent> by lower-case handle
     */
    public static function roster(string $text): array
    {
        $roster = [];
        foreach (preg_split('/\r\n?|\n/', trim($text)) ?: [] as $line) {
            $cells = array_map(
                trim(...),
                array_map(strval(...), str_getcsv($line, str_contains($line, ';') ? ';' : ',', '"', '')),
            );
            // A name has spaces, and a handle has none.
            $handles = array_values(array_filter($cells, fn (string $cell) => preg_match('/^[^\s@,]+$/', $cell) === 1));
            $names = array_values(array_filter($cells, fn (string $cell) => preg_match('/\s/', $cell) === 1));
            if ($handles !== [] && $names !== []) {
                $roster[mb_strtolower($handles[0])] = new RosterStudent($handles[0], $names[0]);
            }
        }

        return $roster;
    }

    /** @return list<string> */
    private function paths(string $folder): array
    {
        $names = is_dir($folder) ? scandir($folder) : false;
        if ($names === false) {
            throw new UsageError("There is no folder \"$folder\".");
        }
        $paths = [];
        foreach ($names as $name) {
            $path = rtrim($folder, '/')."/$name";
            if (
                ! str_starts_with($name, '.')
                && $name !== '__MACOSX'
                && (is_dir($path) || str_ends_with(strtolower($name), '.zip'))
            ) {
                $paths[] = $path;
            }
        }

        return $paths === [] ? throw new UsageError("There is no zip and no folder in \"$folder\".") : $paths;
    }

    private function start(string $path): RunningCheck
    {
        $out = tmpfile();
        if ($out === false) {
            throw new UsageError('There is no room for temporary files.');
        }
        $student = $this->student($path);
        $command = [
            PHP_BINARY, '-d', 'memory_limit=512M', dirname(__DIR__, 2).'/bin/margin', 'check', $path, '--format=json',
            ...$student === null ? [] : ["--handle=$student->handle"],
            ...$this->options,
        ];
        $process = proc_open($command, [1 => $out, 2 => $out], $pipes);

        return is_resource($process)
            ? new RunningCheck($path, $process, $out)
            : throw new UsageError("The check of \"$path\" could not be started.");
    }

    /** @param  resource  $out */
    private function line(string $path, $out): ClassLine
    {
        rewind($out);
        $said = (string) stream_get_contents($out);
        fclose($out);

        $student = $this->student($path);

        return ClassLine::of(basename($path), $student->handle ?? '', $student->name ?? '', $said);
    }

    /** Whoever the name of a file names. */
    private function student(string $path): ?RosterStudent
    {
        foreach (preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower(pathinfo($path, PATHINFO_FILENAME))) ?: [] as $word) {
            if (isset($this->roster[$word])) {
                return $this->roster[$word];
            }
        }

        return null;
    }
}

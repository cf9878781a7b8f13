<?php

declare(strict_types=1);

namespace InkedMargin\Core\Command;

/** A command line taken apart: the command, its operands, and options as `--name=value` or `--name value`. */
final readonly class Arguments
{
    /**
     * @param  list<string>  $operands
     * @param  array<string, string>  $options
     */
    private function __construct(public string $command, public array $operands, private array $options)
    {
    }

    /**
     * @param  list<string>  $words
     *
     * @throws UsageError when an option has no value
     */
    public static function parse(array $words): self
    {
        $operands = $options = [];
        for ($i = 1; $i < count($words); $i++) {
            if ($words[$i] === '--') {
                $operands = [...$operands, ...array_slice($words, $i + 1)];
                break;
            }
            if (! str_starts_with($words[$i], '--')) {
                $operands[] = $words[$i];

                continue;
            }
            [$name, $value] = explode('=', substr($words[$i], 2), 2) + [1 => null];
            $options[$name] = $value ?? $words[++$i] ?? throw new UsageError("The option --$name needs a value.");
        }

        return new self($words[0] ?? '', $operands, $options);
    }

    public function option(string $name): ?string
    {
        return $this->options[$name] ?? null;
    }

    /** @param  list<string>  $names */
    public function allow(array $names): void
    {
        foreach (array_keys($this->options) as $name) {
            if (! in_array($name, $names, true)) {
                throw new UsageError("margin $this->command has no option --$name.");
            }
        }
    }
}

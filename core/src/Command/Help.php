<?php

declare(strict_types=1);

namespace InkedMargin\Core\Command;

/** What `--help` prints. */
final readonly class Help
{
    /** @var array<string, array{string, string, string}> what follows the command, what it does, and its options */
    public const COMMANDS = [
        'check' => ['PATH [options]', 'Checks a folder or a zip, with or without a brief.', <<<'TEXT'
              --brief FILE       the brief, as YAML or JSON
              --handle NAME      what the school calls the student, for names such as {student.handle}.zip
              --starter PATH     the folder or zip that the students began from: its markup is not theirs
              --model PATH       the folder or zip of the model answer
              --copy PATH        the folder or zip with texts that are to stand on pages
              --sheets PATH      the folder or zip with stylesheets that are to be used as they are
              --address URL      where the site was published
              --format FORMAT    text (the default), json or sarif
              --weights LIST     only findings of these weights: fault, departure, tidy, with commas between

            Exit codes: 0 nothing but advice, 1 faults or departures, 2 the site or brief could not be read.
            TEXT],
        'check-all' => ['FOLDER [options]', 'Checks every zip and folder in a folder: a line for each, and the commonest slips.', <<<'TEXT'
              --brief FILE       the brief, as YAML or JSON
              --roster CSV       handles and names of students, to tell whose each is
              --format FORMAT    table (the default), csv or json
              --workers N        so many at a time; as many as there are cores when it is left out
              --starter, --model, --copy and --sheets PATH as for check

            Exit codes: 0 nothing but advice, 1 faults, departures or a site that could not be read, 2 misused.
            TEXT],
        'propose' => ['PATH [options]', 'Proposes a brief for work like this, as YAML.', <<<'TEXT'
              --title TEXT       what the assignment is called; the name of the folder when it is left out
              --total N          points that the requirements add up to, shared out in halves
            TEXT],
        'map' => ['PATH [options]', 'Prints how the pages of a site link, as JSON.', <<<'TEXT'
              --brief FILE       the brief, for its pattern and menu
              --handle NAME      what the school calls the student
            TEXT],
        'parse' => ['[--files-from=-] FILE…', 'Reads pages, and prints the tree and the parse errors of each as one line of JSON.', <<<'TEXT'
              --files-from=-     also reads names of files from standard input, one a line
            TEXT],
        'rules' => ['', 'Prints the catalogue of rules, with examples, as Markdown.', ''],
        'explain' => ['RULE', 'Explains one rule, such as link/missing-file, with examples.', ''],
        'schema' => [
            '[--format markdown]',
            'Prints the format of a brief as a JSON Schema, or its fields as Markdown.',
            '',
        ],
    ];

    public static function overview(): string
    {
        $lines = ['Usage: margin COMMAND [options]', ''];
        foreach (self::COMMANDS as $command => [, $about]) {
            $lines[] = sprintf('  %-9s %s', $command, $about);
        }

        return implode("\n", [...$lines, '', '"margin COMMAND --help" says more about a command.'])."\n";
    }

    public static function of(string $command): string
    {
        [$usage, $about, $options] = self::COMMANDS[$command];

        return rtrim("Usage: margin $command $usage")."\n\n$about\n".($options === '' ? '' : "\n$options\n");
    }
}

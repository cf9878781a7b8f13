<?php

declare(strict_types=1);

namespace InkedMargin\Core\Command;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefError;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Markup\MarkupReader;
use InkedMargin\Core\Markup\ParseError;
use InkedMargin\Core\Report\JsonReport;
use InkedMargin\Core\Report\RuleCatalogue;
use InkedMargin\Core\Report\SarifReport;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Report\TextReport;
use InkedMargin\Core\Report\TreeText;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\SourceFile;

/** The command line: `margin check`, `margin map`, `margin parse`, `margin rules`. */
final class Margin
{
    private const CLEAN = 0;

    private const FOUND = 1;

    private const MISUSED = 2;

    private const USAGE = <<<'TEXT'
        margin check PATH [--brief FILE] [--format=text|json|sarif]   check a folder or a zip
        margin map PATH [--brief FILE]                                 how its pages link, as JSON
        margin parse [--files-from=-] FILE…                           read pages, one JSON object a line
        margin rules                                                  print the rule catalogue

        TEXT;

    /**
     * @param  resource  $in
     * @param  resource  $out
     * @param  resource  $errors
     */
    public function __construct(private $in, private $out, private $errors)
    {
    }

    /**
     * @param  list<string>  $arguments  without the program's name
     * @return int the exit code: 0 nothing that matters, 1 something, 2 unreadable or misused
     */
    public function run(array $arguments): int
    {
        try {
            $line = Arguments::parse($arguments);

            return match ($line->command) {
                'check' => $this->check($line),
                'map' => $this->map($line),
                'parse' => $this->parse($line),
                'rules' => $this->write(RuleCatalogue::render()),
                default => throw new Misuse("There is no command \"$line->command\".\n".self::USAGE),
            };
        } catch (Misuse|Refusal $error) {
            fwrite($this->errors, rtrim($error->getMessage())."\n");
        } catch (BriefError $error) {
            fwrite($this->errors, "The brief cannot be used:\n  ".implode("\n  ", $error->problems)."\n");
        }

        return self::MISUSED;
    }

    private function check(Arguments $line): int
    {
        $line->allow(['brief', 'format']);
        $render = match ($line->option('format') ?? 'text') {
            'text' => TextReport::render(...),
            'json' => JsonReport::render(...),
            'sarif' => SarifReport::render(...),
            default => throw new Misuse("There is no format \"{$line->option('format')}\"; text, json and sarif there are."),
        };
        $report = Check::run($this->site($line), $this->brief($line));
        $this->write($render($report));

        return $report->isClean() ? self::CLEAN : self::FOUND;
    }

    private function map(Arguments $line): int
    {
        $line->allow(['brief']);

        return $this->write(SiteSurvey::render(SiteReading::of($this->site($line)), $this->brief($line)));
    }

    private function site(Arguments $line): Site
    {
        if (count($line->operands) !== 1) {
            throw new Misuse("margin {$line->command} takes one folder or zip.\n".self::USAGE);
        }
        $path = $line->operands[0];
        if (! file_exists($path)) {
            throw new Misuse("There is no \"$path\".");
        }

        return is_dir($path) ? (new FolderReader)->read($path) : (new ArchiveReader)->read($path, basename($path));
    }

    private function brief(Arguments $line): Brief
    {
        $file = $line->option('brief');

        return $file === null ? Brief::none() : BriefReader::read($this->contents($file));
    }

    private function parse(Arguments $line): int
    {
        $line->allow(['files-from']);
        $from = $line->option('files-from');
        if ($from !== null && $from !== '-') {
            throw new Misuse('--files-from takes "-": names are read from standard input, one a line.');
        }
        $files = $from === null ? $line->operands : [...$line->operands, ...$this->names()];
        if ($files === []) {
            throw new Misuse("margin parse takes files.\n".self::USAGE);
        }
        foreach ($files as $file) {
            $this->parseFile($file);
        }

        return self::CLEAN;
    }

    private function parseFile(string $path): void
    {
        $document = MarkupReader::read(new SourceFile($path, $this->contents($path)));
        $this->write(json_encode([
            'file' => $path,
            'tree' => TreeText::render($document),
            'errors' => array_map(function (ParseError $error) use ($document): array {
                $at = $document->source->position($error->offset);

                return ['code' => $error->code, 'line' => $at->line, 'column' => $at->column, 'offset' => $at->offset];
            }, $document->errors),
            'mode' => $document->mode->value,
        ], JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR)."\n");
    }

    /** @return list<string> */
    private function names(): array
    {
        return array_values(array_filter(explode("\n", str_replace("\r", '', (string) stream_get_contents($this->in))), fn (string $name) => $name !== ''));
    }

    private function contents(string $path): string
    {
        $bytes = is_file($path) ? @file_get_contents($path) : false;

        return $bytes === false ? throw new Misuse("The file \"$path\" cannot be read.") : $bytes;
    }

    private function write(string $text): int
    {
        fwrite($this->out, $text);

        return self::CLEAN;
    }
}

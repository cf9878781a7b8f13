<?php

declare(strict_types=1);

namespace InkedMargin\Core\Command;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\Proposal;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Schema;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\RootHints;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Markup\MarkupError;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Report\ClassReport;
use InkedMargin\Core\Report\JsonReport;
use InkedMargin\Core\Report\RuleCatalogue;
use InkedMargin\Core\Report\SarifReport;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Report\TextReport;
use InkedMargin\Core\Report\TreeText;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Source\SourceFile;

/** The command line: `margin check`, `check-all`, `propose`, `map`, `parse`, `rules`, `explain` and `schema`. */
final class Margin
{
    private const CLEAN = 0;

    private const FOUND = 1;

    private const MISUSED = 2;

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
     * @return int the exit code: 0 nothing found but advice, 1 faults or departures found, 2 unreadable or misused
     */
    public function run(array $arguments): int
    {
        try {
            if ($arguments === [] || in_array(
                '--help',
                $arguments,
                true,
            ) || in_array('-h', $arguments, true) || $arguments[0] === 'help') {
                return $this->help($arguments);
            }
            $line = Arguments::parse($arguments);

            return match ($line->command) {
                'check' => $this->check($line),
                'check-all' => $this->checkAll($line),
                'propose' => $this->propose($line),
                'map' => $this->map($line),
                'parse' => $this->parse($line),
                'rules' => $this->rules($line),
                'explain' => $this->explain($line),
                'schema' => $this->schema($line),
                default => throw new UsageError(self::noCommand($line->command)),
            };
        } catch (UsageError|Refusal|OverLimit $error) {
            fwrite($this->errors, rtrim($error->getMessage())."\n");
        } catch (BriefError $error) {
            fwrite($this->errors, "The brief cannot be used:\n  ".implode("\n  ", $error->problems)."\n");
        }

        return self::MISUSED;
    }

    /** @param  list<string>  $arguments */
    private function help(array $arguments): int
    {
        foreach ($arguments as $word) {
            if (isset(Help::COMMANDS[$word])) {
                return $this->write(Help::of($word));
            }
        }

        return $this->write(Help::overview());
    }

    private static function noCommand(string $command): string
    {
        $meant = NearestName::of($command, array_keys(Help::COMMANDS));

        return "There is no command \"$command\"".($meant === null ? '.' : "; did you mean \"$meant\"?")."\n\n"
            .Help::overview();
    }

    private function check(Arguments $line): int
    {
        $line->allow(['brief', 'format', 'weights', 'handle', 'starter', 'model', 'copy', 'sheets', 'address']);
        $format = $line->option('format') ?? 'text';
        $weights = self::weights($line->option('weights'));
        $render = match ($format) {
            'text' => (new TextReport($weights, stream_isatty($this->out)))->render(...),
            'json' => JsonReport::render(...),
            'sarif' => SarifReport::render(...),
            default => throw new UsageError("There is no format \"$format\". The formats are text, json and sarif."),
        };
        $given = fn (string $name) => $line->option($name) === null ? null : $this->read((string) $line->option($name));
        $materials = new Materials($given('starter'), $given('model'), $given('copy'), $given('sheets'));
        $report = Check::run($this->site($line), $this->brief($line), materials: $materials);
        $this->write($render($format === 'text' ? $report : self::only($report, $weights)));

        return $report->isClean() ? self::CLEAN : self::FOUND;
    }

    private function checkAll(Arguments $line): int
    {
        $passed = ['brief', 'starter', 'model', 'copy', 'sheets'];
        $line->allow([...$passed, 'roster', 'format', 'workers']);
        if (count($line->operands) !== 1) {
            throw new UsageError("margin check-all takes one folder.\n\n".Help::of('check-all'));
        }
        $this->brief($line);
        $workers = $line->option('workers') ?? (string) CheckAll::cores();
        if (preg_match('/^[1-9]\d?$/', $workers) !== 1) {
            throw new UsageError('--workers takes a number from 1 to 99.');
        }
        $render = match ($line->option('format') ?? 'table') {
            'table' => fn (ClassReport $report) => $report->table(),
            'csv' => fn (ClassReport $report) => $report->csv(),
            'json' => fn (ClassReport $report) => $report->json(),
            default => throw new UsageError(
                "There is no format \"{$line->option('format')}\". The formats are table, csv and json.",
            ),
        };
        $options = [];
        foreach ($passed as $name) {
            if ($line->option($name) !== null) {
                $options[] = "--$name={$line->option($name)}";
            }
        }
        $roster = $line->option('roster') === null ? [] : CheckAll::roster($this->contents($line->option('roster')));
        $report = (new CheckAll($options, $roster, (int) $workers))->run($line->operands[0]);
        $this->write($render($report));

        return $report->isClean() ? self::CLEAN : self::FOUND;
    }

    /** @return list<Weight> */
    private static function weights(?string $named): array
    {
        $weights = [];
        foreach ($named === null ? [] : explode(',', $named) as $name) {
            $weights[] = Weight::tryFrom(trim($name)) ?? throw new UsageError(
                "There is no weight \"$name\". The weights are fault, departure and tidy.",
            );
        }

        return $weights ?: Weight::cases();
    }

    /** @param  list<Weight>  $weights */
    private static function only(CheckReport $report, array $weights): CheckReport
    {
        $findings = array_values(
            array_filter($report->findings, fn ($placed) => in_array($placed->finding->weight, $weights, true)),
        );

        return new CheckReport($report->site, $report->brief, $findings, $report->outcomes, $report->score);
    }

    private function propose(Arguments $line): int
    {
        $line->allow(['title', 'total']);
        $site = $this->site($line);
        $total = $line->option('total');
        if ($total !== null && (! is_numeric($total) || (float) $total <= 0.0)) {
            throw new UsageError('--total takes a number of points above 0, such as 50.');
        }

        return $this->write(BriefWriter::yaml(Proposal::from(
            ParsedSite::of($site),
            $line->option('title') ?? $site->name,
            $total === null ? null : (float) $total,
        )));
    }

    private function map(Arguments $line): int
    {
        $line->allow(['brief', 'handle', 'address']);

        return $this->write(SiteSurvey::render(ParsedSite::of($this->site($line)), $this->brief($line)));
    }

    private function rules(Arguments $line): int
    {
        $line->allow([]);

        return $this->write(RuleCatalogue::render());
    }

    private function explain(Arguments $line): int
    {
        $line->allow([]);
        $id = $line->operands[0] ?? throw new UsageError(
            'margin explain takes the id of a rule, such as link/missing-file.',
        );
        $rule = Catalogue::rule(explode(':', $id)[0]);
        if ($rule === null) {
            $meant = NearestName::of($id, array_map(fn ($one) => $one->id, Catalogue::rules()));
            throw new UsageError(
                "There is no rule \"$id\""
                    .($meant === null ? '. "margin rules" lists them.' : "; did you mean \"$meant\"?"),
            );
        }

        return $this->write(RuleCatalogue::explain($rule));
    }

    private function schema(Arguments $line): int
    {
        $line->allow(['format']);

        return $this->write($line->option('format') === 'markdown' ? Schema::documentation() : Schema::render());
    }

    private function site(Arguments $line): Site
    {
        if (count($line->operands) !== 1) {
            throw new UsageError("margin {$line->command} takes one folder or zip.\n\n".Help::of($line->command));
        }

        $brief = $line->option('brief') === null ? Brief::none() : $this->brief($line);
        $site = $this->read($line->operands[0], new RootHints($brief->paths()));

        return $site->for($line->option('handle'), $line->option('address'));
    }

    private function read(string $path, RootHints $hints = new RootHints): Site
    {
        if (! file_exists($path)) {
            throw new UsageError("There is no file or folder \"$path\".");
        }

        return is_dir($path)
            ? (new FolderReader(hints: $hints))->read($path)
            : (new ArchiveReader(hints: $hints))->read($path, basename($path));
    }

    private function brief(Arguments $line): Brief
    {
        $file = $line->option('brief');

        return $file === null ? Brief::none() : BriefReader::readNew($this->contents($file));
    }

    private function parse(Arguments $line): int
    {
        $line->allow(['files-from']);
        $from = $line->option('files-from');
        if ($from !== null && $from !== '-') {
            throw new UsageError('--files-from takes "-": names are read from standard input, one a line.');
        }
        $files = $from === null ? $line->operands : [...$line->operands, ...$this->names()];
        if ($files === []) {
            throw new UsageError("margin parse takes files.\n\n".Help::of('parse'));
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
            'errors' => array_map(function (MarkupError $error) use ($document): array {
                $at = $document->source->position($error->offset);

                return ['code' => $error->code, 'line' => $at->line, 'column' => $at->column, 'offset' => $at->offset];
            }, $document->errors),
            'mode' => $document->mode->value,
        ], JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR)."\n");
    }

    /** @return list<string> */
    private function names(): array
    {
        return array_values(
            array_filter(
                explode("\n", str_replace("\r", '', (string) stream_get_contents($this->in))),
                fn (string $name) => $name !== '',
            ),
        );
    }

    private function contents(string $path): string
    {
        $bytes = is_file($path) ? @file_get_contents($path) : false;

        return $bytes === false ? throw new UsageError("The file \"$path\" cannot be read.") : $bytes;
    }

    private function write(string $text): int
    {
        fwrite($this->out, $text);

        return self::CLEAN;
    }
}

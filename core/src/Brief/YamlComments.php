<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/**
 * Comments of a brief in YAML. YAML parsers drop them, so that they are kept as values: those of a requirement in its
 * `comment`, all others in the brief's.
 */
final readonly class YamlComments
{
    /** @param  array<int, list<string>>  $byRequirement  by its place in the list; -1 for those of the brief itself */
    private function __construct(private array $byRequirement)
    {
    }

    public static function in(string $source): self
    {
        $found = $waiting = [];
        $at = -1;
        $isInList = false;
        $item = $block = null;
        foreach (preg_split('/\r\n|\r|\n/', $source) ?: [] as $line) {
            $indent = strspn($line, ' ');
            $isBlank = trim($line) === '';
            // The lines of a text that begins with `|` or `>` are its own, whatever they look like.
            if ($block !== null && ($isBlank || $indent > $block)) {
                continue;
            }
            $block = preg_match('/:\s*[|>][-+0-9]*\s*(?:\s#.*)?$/', $line) === 1 ? $indent : null;
            if (preg_match('/^\s*#\s?(.*)$/', $line, $match) === 1) {
                $waiting[] = rtrim($match[1]);

                continue;
            }
            if ($isBlank) {
                continue;
            }
            if ($indent === 0 && preg_match('/^[\w"\']/', $line) === 1) {
                [$isInList, $item] = [preg_match('/^["\']?requirements["\']?\s*:/', $line) === 1, null];
            }
            $isItem = $isInList && preg_match('/^\s*-(?:\s|$)/', $line) === 1 && ($item === null || $indent === $item);
            if ($isItem) {
                $item = $indent;
                $at++;
            }
            $own = self::behind($line);
            $place = $isInList && $item !== null ? $at : -1;
            $found[$place] = [...$found[$place] ?? [], ...$waiting, ...($own === null ? [] : [$own])];
            $waiting = [];
        }
        $found[-1] = [...$found[-1] ?? [], ...$waiting];

        return new self(array_filter($found, fn (array $lines) => $lines !== []));
    }

    /** A comment at the end of a line; null where there is none. */
    private static function behind(string $line): ?string
    {
        $outside = preg_replace('/"(?:[^"\\\\]|\\\\.)*"|\'(?:[^\']|\'\')*\'/', '""', $line) ?? $line;

        return preg_match('/\s#\s?(.*)$/', $outside, $match) === 1 ? rtrim($match[1]) : null;
    }

    /**
     * @param  array<mixed>  $values  of the brief
     * @return array<mixed> with the comments, but for places that have one as a value
     */
    public function addTo(array $values): array
    {
        foreach ($this->byRequirement as $at => $lines) {
            $comment = implode("\n", $lines);
            if ($at === -1) {
                $values += ['comment' => $comment];
            } elseif (is_array($values['requirements'] ?? null) && is_array($values['requirements'][$at] ?? null)) {
                $values['requirements'][$at] += ['comment' => $comment];
            }
        }

        return $values;
    }

    /**
     * @param  string  $yaml  of a brief without its comments, as `BriefWriter` lays it out
     * @param  string|null  $ofBrief  comment
     * @param  array<int, string>  $ofRequirements  comments by place in the list
     */
    public static function write(string $yaml, ?string $ofBrief, array $ofRequirements): string
    {
        $written = $ofBrief === null ? [] : self::lines($ofBrief, '');
        $at = -1;
        $isInList = false;
        foreach (explode("\n", $yaml) as $line) {
            $isInList = preg_match('/^\S/', $line) === 1 ? str_starts_with($line, 'requirements:') : $isInList;
            if ($isInList && str_starts_with($line, '  - ')) {
                array_push($written, ...self::lines($ofRequirements[++$at] ?? '', '  '));
            }
            $written[] = $line;
        }

        return implode("\n", $written);
    }

    /** @return list<string> */
    private static function lines(string $comment, string $indent): array
    {
        return $comment === ''
            ? []
            : array_map(fn (string $line) => rtrim("$indent# $line"), explode("\n", $comment));
    }
}

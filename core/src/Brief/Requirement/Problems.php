<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** The problems found while a brief is read, each with the requirement, the field and the line it is in. */
final class Problems
{
    private const MOST = 100;

    /** @var list<string> */
    private array $found = [];

    /** @var array<string, string> ids of requirements by where they are, such as `requirements.2` */
    private array $ids = [];

    /** @var array<string, int> how many had the same id before, likewise */
    private array $nth = [];

    /** @param  list<string>  $lines  of the source */
    public function __construct(private readonly array $lines)
    {
    }

    /** From here on, problems at a place are named by the id of its requirement. */
    public function name(string $where, string $id): void
    {
        $this->nth[$where] = count(array_keys($this->ids, $id, true));
        $this->ids[$where] = $id;
    }

    public function add(string $where, string $field, string $what): void
    {
        if (count($this->found) >= self::MOST) {
            return;
        }
        $id = $this->ids[$where] ?? null;
        $found = $this->place($id, $field, $this->nth[$where] ?? 0);
        $place = match (true) {
            $where === '' => $field,
            $id !== null => "requirement \"$id\", $field",
            default => "$where.$field",
        };
        $line = $found === null ? '' : 'line '.($found->line + 1).', column '.($found->column + 1).': ';
        $this->found[] = "$line$place: $what";
    }

    /** @return list<string> */
    public function all(): array
    {
        return $this->found;
    }

    /**
     * YAML's reader gives no places of values, so that they are looked for.
     *
     * @return ?FieldPlace null when it cannot be told
     */
    private function place(?string $id, string $field, int $nth): ?FieldPlace
    {
        $first = $id === null ? new FieldPlace(0, 0) : $this->find('id', 0, count($this->lines), $id);
        for (; $nth > 0 && $first !== null; $nth--) {
            $first = $this->find('id', $first->line + 1, count($this->lines), $id) ?? $first;
        }
        if ($first === null) {
            return null;
        }
        $next = $id === null ? null : $this->find('id', $first->line + 1, count($this->lines), null);
        // The id need not be the first field of its requirement.
        $from = $id === null ? 0 : $this->start($first->line);

        return $this->find($field, $from, $next->line ?? count($this->lines), null) ?? ($id === null ? null : $first);
    }

    private function start(int $line): int
    {
        while ($line > 0 && preg_match(
            '/^\s*-/',
            $this->lines[$line],
        ) !== 1 && ! str_contains($this->lines[$line], '{')) {
            $line--;
        }

        return $line;
    }

    /** Where a field first has a value. */
    private function find(string $field, int $from, int $before, ?string $value): ?FieldPlace
    {
        $wanted = $value === null ? '' : '\s*["\']?'.preg_quote($value, '~').'(?![\w.-])';
        $pattern = '~(?:^|[\s{,"\'-])'.preg_quote($field, '~').'(?=["\']?\s*:'.$wanted.')~';
        for ($line = $from; $line < $before; $line++) {
            if (preg_match($pattern, $this->lines[$line], $match, PREG_OFFSET_CAPTURE) === 1) {
                $end = $match[0][1] + strlen($match[0][0]);

                return new FieldPlace($line, mb_strlen(substr($this->lines[$line], 0, $end)) - mb_strlen($field));
            }
        }

        return null;
    }
}

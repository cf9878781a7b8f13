<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/** The problems found while a brief is read, each with the requirement, the field and the line it is in. */
final class Problems
{
    private const MOST = 100;

    /** @var list<string> */
    private array $found = [];

    /** @var array<string, string> ids of requirements by where they are, such as `requirements.2` */
    private array $ids = [];

    /** @param  list<string>  $lines  of the source */
    public function __construct(private readonly array $lines)
    {
    }

    /** From here on, problems at a place are named by the id of its requirement. */
    public function name(string $where, string $id): void
    {
        $this->ids[$where] = $id;
    }

    public function add(string $where, string $field, string $what): void
    {
        if (count($this->found) >= self::MOST) {
            return;
        }
        $id = $this->ids[$where] ?? null;
        $line = $this->line($id, $field);
        $place = match (true) {
            $where === '' => $field,
            $id !== null => "requirement \"$id\", $field",
            default => "$where.$field",
        };
        $this->found[] = ($line === null ? '' : "line $line: ")."$place: $what";
    }

    /** @return list<string> */
    public function all(): array
    {
        return $this->found;
    }

    /** 1-based; null when it cannot be told. YAML's reader gives no lines for values, so that they are looked for. */
    private function line(?string $id, string $field): ?int
    {
        $first = $id === null ? 0 : $this->find('id', 0, count($this->lines), $id);
        if ($first === null) {
            return null;
        }
        $next = $this->find('id', $first + 1, count($this->lines), null) ?? count($this->lines);
        // The id need not be the first field of its requirement.
        $from = $id === null ? 0 : $this->start($first);
        $line = $this->find($field, $from, $id === null ? count($this->lines) : $next, null);

        return ($line ?? ($id === null ? null : $first)) === null ? null : ($line ?? $first) + 1;
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

    /** The index of the first line in which a field has a value. */
    private function find(string $field, int $from, int $before, ?string $value): ?int
    {
        $wanted = $value === null ? '' : '\s*["\']?'.preg_quote($value, '~').'(?![\w.-])';
        $pattern = '~(?:^|[\s{,"\'-])'.preg_quote($field, '~').'["\']?\s*:'.$wanted.'~';
        for ($line = $from; $line < $before; $line++) {
            if (preg_match($pattern, $this->lines[$line]) === 1) {
                return $line;
            }
        }

        return null;
    }
}

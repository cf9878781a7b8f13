<?php

declare(strict_types=1);

namespace App\Description;

/** A field of a request, with the fields below it. */
final class RuleNode
{
    /** @var list<mixed> */
    public array $rules = [];

    /** @var array<string, self> */
    public array $fields = [];

    /** What a list holds. */
    public ?self $each = null;

    public function isFile(): bool
    {
        return in_array('file', $this->rules, true) || $this->each?->isFile() === true;
    }

    /** @param  string  $path  such as `work.*.id` */
    public function at(string $path): self
    {
        $node = $this;
        foreach (explode('.', $path) as $step) {
            $node = $step === '*' ? $node->each ??= new self : $node->fields[$step] ??= new self;
        }

        return $node;
    }
}

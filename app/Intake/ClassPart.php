<?php

declare(strict_types=1);

namespace App\Intake;

/** What one student gave, out of an archive of the class. */
final readonly class ClassPart
{
    /**
     * @param  string  $name  of the zip or folder
     * @param  string  $within  the folders around it, which may name the student
     * @param  string  $bytes  a zip; '' where it was refused
     * @param  bool  $packed  whether it was a folder
     * @param  string|null  $refusal  why it cannot be taken
     */
    public function __construct(
        public string $name,
        public string $within,
        public string $bytes,
        public bool $packed,
        public ?string $refusal,
    ) {
    }

    /** The same once its bytes are kept: a class of them does not fit into memory. */
    public function withoutBytes(): self
    {
        return new self($this->name, $this->within, '', $this->packed, $this->refusal);
    }
}

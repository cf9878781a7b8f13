<?php

declare(strict_types=1);

namespace App\Replies;

/** The remarks about one file; about the whole hand-in when the file is empty. */
final readonly class ReplyPage
{
    /**
     * @param  list<ReplyItem>  $items
     */
    public function __construct(
        public string $file,
        public array $items,
    ) {
    }

    /** Without what follows from its place. */
    public function said(): self
    {
        return new self($this->file, array_map(fn (ReplyItem $item) => $item->said(), $this->items));
    }
}

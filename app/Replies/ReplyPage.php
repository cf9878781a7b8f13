<?php

declare(strict_types=1);

namespace App\Replies;

use OpenApi\Attributes as OA;

/** The remarks about one file; about the whole hand-in when the file is empty. */
#[OA\Schema]
final readonly class ReplyPage
{
    /**
     * @param  list<ReplyItem>  $items
     */
    public function __construct(
        #[OA\Property]
        public string $file,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReplyItem::class))]
        public array $items,
    ) {
    }

    /** Without what follows from its place. */
    public function said(): self
    {
        return new self($this->file, array_map(fn (ReplyItem $item) => $item->said(), $this->items));
    }
}

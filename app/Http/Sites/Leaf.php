<?php

declare(strict_types=1);

namespace App\Http\Sites;

use InkedMargin\Core\Source\FileKind;

/** A file of the hand-in, or one that should be there. */
final readonly class Leaf
{
    public function __construct(
        public string $path,
        public FileKind $kind,
        public int $bytes,
        public bool $missing,
    ) {
    }

    /**
     * Pages first, the home page before all.
     *
     * @param  list<self>  $leaves
     * @return list<self>
     */
    public static function inOrder(array $leaves): array
    {
        $order = array_flip(array_column(FileKind::cases(), 'value'));
        $place = fn (self $leaf) => [
            $order[$leaf->kind->value], $leaf->path !== 'index.html', substr_count($leaf->path, '/'), $leaf->path,
        ];
        usort($leaves, fn (self $one, self $other) => $place($one) <=> $place($other));

        return $leaves;
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use InkedMargin\Core\Brief\Requirement\Loss;
use InkedMargin\Core\Marking\Reason;

/** Why a requirement lost points, as a check run keeps it: enough to work the points out again. */
final readonly class KeptReason
{
    /**
     * @param  int  $item  the number of the item that it costs, among those of the requirement
     * @param  float  $share  how much of it
     * @param  string|null  $finding  fingerprint
     * @param  string|null  $follows  id of the requirement where the same slip costs points
     */
    public function __construct(
        public int $item,
        public float $share,
        public ?string $finding,
        public ?string $follows,
    ) {
    }

    /**
     * @param  list<Reason>  $reasons
     * @return list<array{int, float, string|null, string|null}> to be kept as JSON
     */
    public static function rows(array $reasons): array
    {
        $items = [];

        return array_map(function (Reason $one) use (&$items): array {
            $item = $items["item {$one->shortfall->item}"] ??= count($items);

            return [$item, $one->shortfall->cost, $one->finding, $one->follows];
        }, $reasons);
    }

    public function loss(): Loss
    {
        return new Loss("$this->item", $this->share, $this->follows === null);
    }
}

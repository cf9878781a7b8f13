<?php

declare(strict_types=1);

namespace App\Intake\Published;

use InkedMargin\Core\Site\Site;

/** A published site as it was fetched. */
final readonly class Fetched
{
    /**
     * @param  list<Served>  $served  in the order in which it was asked for
     * @param  bool  $isCut  whether there was more than is fetched
     * @param  bool  $isOutOfTime  whether it was cut as its time was over
     */
    public function __construct(
        public Site $site,
        public array $served,
        public bool $isCut,
        public bool $isOutOfTime,
    ) {
    }
}

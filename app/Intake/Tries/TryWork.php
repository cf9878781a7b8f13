<?php

declare(strict_types=1);

namespace App\Intake\Tries;

use App\Checks\MyCheck;
use App\Models\StudentsSee;
use App\Work\Work;
use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\RootHints;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Source\OverLimit;

/** Unpacks and checks a site that nobody keeps, in a process of its own. */
final readonly class TryWork implements Work
{
    /** @param  string  $path  of the archive on this machine */
    public function __construct(
        private string $path,
        private string $name,
        private bool $isSent,
        private RootHints $hints,
        private string $handle,
        private ?string $address,
        private Brief $brief,
        private Materials $materials,
        private StudentsSee $sees,
    ) {
    }

    public function run(\Closure $tell): TryResult
    {
        try {
            $site = (new ArchiveReader(hints: $this->hints))->read($this->path, $this->name, $this->isSent)
                ->for($this->handle, $this->address);
            $report = Check::run($site, $this->brief, materials: $this->materials);
        } catch (Refusal|OverLimit $refusal) {
            return new TryResult(null, $refusal->getMessage());
        }
        $check = MyCheck::ofReport($report, $this->sees);

        return new TryResult(json_encode($check, JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR));
    }
}

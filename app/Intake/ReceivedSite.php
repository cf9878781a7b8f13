<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Published\Fetched;
use App\Models\Assignment;
use App\Models\Student;
use Carbon\CarbonInterface;
use InkedMargin\Core\Site\Site;

/** What a student gave, unpacked and known to be theirs. */
final readonly class ReceivedSite
{
    /**
     * @param  string  $archiveName  as its sender called it; '' where it came as a folder or as loose files
     * @param  string  $sha256  of the archive, which is kept
     * @param  CarbonInterface  $arrivedAt  when it began to arrive
     * @param  string|null  $address  where the site is published, when that was said
     * @param  Fetched|null  $fetched  from there; null where it came as files
     */
    public function __construct(
        public Assignment $assignment,
        public Student $student,
        public Site $site,
        public string $archiveName,
        public string $sha256,
        public CarbonInterface $arrivedAt,
        public string $coveringNote = '',
        public ?string $address = null,
        public ?Fetched $fetched = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Briefs;

use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\MaterialRole;
use App\Sites\Examples;
use App\Sites\SiteFiles;
use App\Sites\SitePlace;
use App\Sites\SiteStore;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Site\Site;

/**
 * The sites that a brief can be tried on while it is written: the model answer, the starter files, hand-ins, examples.
 */
final readonly class TrialSites
{
    private const MAX_HAND_INS = 300;

    public function __construct(private SiteStore $sites, private SiteFiles $files)
    {
    }

    /** @return list<TrialSite> the likeliest first */
    public function of(Assignment $assignment): array
    {
        $given = $assignment->files()->reorder()->distinct()->pluck('role')->all();
        $list = [];
        foreach ([MaterialRole::Model, MaterialRole::Starter] as $role) {
            if (in_array($role, $given, true)) {
                $list[] = new TrialSite($role->value, $role->title());
            }
        }
        $handIns = $assignment->handIns()->counting()->with('student')
            ->limit(self::MAX_HAND_INS)->get()->sortBy('student.name');
        foreach ($handIns as $handIn) {
            $list[] = new TrialSite("hand-in:$handIn->id", "what {$handIn->student->name} handed in");
        }
        foreach (array_keys(Examples::all()) as $name) {
            $list[] = new TrialSite("example:$name", Examples::title($name));
        }

        return $list;
    }

    /**
     * @param  Materials  $given  what the assignment gives
     * @return Site|null null where there is no such site
     */
    public function read(Assignment $assignment, string $key, Materials $given): ?Site
    {
        if (str_starts_with($key, 'hand-in:')) {
            $handIn = $assignment->handIns()->with(['files', 'student'])->whereKey(substr($key, 8))->first();

            return $handIn instanceof HandIn ? $this->sites->read($handIn) : null;
        }
        $place = SitePlace::given($assignment->id, $key);

        return match ($place?->role()) {
            MaterialRole::Model => $given->model,
            MaterialRole::Starter => $given->starter,
            null => $place === null ? null : $this->files->all($place),
            default => null,
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Marking;

use App\Http\Resources\TrialSite;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\MaterialRole;
use App\Sites\SiteStore;
use InkedMargin\Core\Brief\Materials;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Site\Site;

/** The sites that a brief can be tried on while it is written: the model answer, the starter files, hand-ins, examples. */
final readonly class TrialSites
{
    private const MOST_HAND_INS = 300;

    public function __construct(private SiteStore $sites)
    {
    }

    /** @return list<TrialSite> the likeliest first */
    public function of(Assignment $assignment): array
    {
        $given = $assignment->files()->reorder()->distinct()->pluck('role')->all();
        $list = [];
        foreach (['model' => [MaterialRole::Model, 'the model answer'], 'starter' => [MaterialRole::Starter, 'the starter files']] as $key => [$role, $name]) {
            if (in_array($role, $given, true)) {
                $list[] = new TrialSite($key, $name);
            }
        }
        $handIns = $assignment->handIns()->newest()->with('student')->limit(self::MOST_HAND_INS)->get()->sortBy('student.name');
        foreach ($handIns as $handIn) {
            $list[] = new TrialSite("hand-in:$handIn->id", "what {$handIn->student->name} handed in");
        }
        foreach ($this->examples() as $name => $folder) {
            $list[] = new TrialSite("example:$name", 'the example '.str_replace('-', ' ', $name));
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
        if (str_starts_with($key, 'example:')) {
            $folder = $this->examples()[substr($key, 8)] ?? null;

            return $folder === null ? null : (new FolderReader)->read($folder);
        }

        return match ($key) {
            'model' => $given->model,
            'starter' => $given->starter,
            default => null,
        };
    }

    /** @return array<string, string> folders of sites that meet the briefs that ship, by the name of the brief */
    private function examples(): array
    {
        $folders = [];
        foreach (glob(base_path('docs/briefs/*/right'), GLOB_ONLYDIR) ?: [] as $folder) {
            $folders[basename(dirname($folder))] = $folder;
        }

        return $folders;
    }
}

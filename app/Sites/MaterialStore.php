<?php

declare(strict_types=1);

namespace App\Sites;

use App\Models\Assignment;
use App\Models\AssignmentFile;
use App\Models\Brief;
use App\Models\BriefFile;
use App\Models\MaterialRole;
use App\Storage\BlobStore;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/**
 * Keeps what an assignment gives besides its brief, and gives it to a check as the sites they are. The assignment has
 * its files as they are now; each version of its brief has them as they were when it was put in use.
 */
final readonly class MaterialStore
{
    public function __construct(private BlobStore $blobs)
    {
    }

    /** What hand-ins are checked against under a version of a brief. */
    public function read(Brief $brief): Materials
    {
        return $this->materials($brief->files->toBase());
    }

    /** What an assignment gives now. */
    public function current(Assignment $assignment): Materials
    {
        return $this->materials($assignment->files()->get()->toBase());
    }

    /** In place of what the assignment gave in this role; null for nothing any more. */
    public function put(Assignment $assignment, MaterialRole $role, ?Site $site): void
    {
        $rows = [];
        foreach ($site?->files() ?? [] as $file) {
            $rows[] = [
                'assignment_id' => $assignment->id,
                'role' => $role->value,
                'path' => $file->path,
                'sha256' => $this->blobs->put($file->bytes),
            ];
        }
        DB::transaction(function () use ($assignment, $role, $rows): void {
            AssignmentFile::query()->where('assignment_id', $assignment->id)->where('role', $role)->delete();
            foreach (array_chunk($rows, 500) as $some) {
                AssignmentFile::query()->insert($some);
            }
        });
    }

    /** The next version of the brief, with what the assignment gives now. The caller has locked the assignment. */
    public static function nextBrief(Assignment $assignment, string $source): Brief
    {
        $version = ($assignment->brief()->first()->version ?? 0) + 1;
        $brief = $assignment->briefs()->create(['version' => $version, 'source' => $source]);
        self::keepWith($brief);
        // Its grace may be another.
        CountedAttempt::settle($assignment);

        return $brief;
    }

    /** A version of a brief keeps what its assignment gives now. */
    public static function keepWith(Brief $brief): void
    {
        DB::statement(
            'insert into brief_files (brief_id, role, path, sha256) select ?, role, path, sha256 from assignment_files '
                .'where assignment_id = ?',
            [$brief->id, $brief->assignment_id],
        );
    }

    /** @param  Assignment  $to  that gives nothing yet */
    public static function copy(Assignment $from, Assignment $to): void
    {
        DB::statement(
            'insert into assignment_files (assignment_id, role, path, sha256) select ?, role, path, sha256 from '
                .'assignment_files where assignment_id = ?',
            [$to->id, $from->id],
        );
    }

    /** @return list<string> the paths of the stylesheets that an assignment gives */
    public static function givenSheets(string $assignmentId): array
    {
        $files = AssignmentFile::query()->where('assignment_id', $assignmentId)->where('role', MaterialRole::Sheets)
            ->orderBy('path')->get();

        return array_values($files->map(fn (AssignmentFile $file) => $file->path)->all());
    }

    /** The hash of a stylesheet that an assignment gives; null where it gives none of that path. */
    public function givenSheet(string $assignmentId, string $path): ?string
    {
        return AssignmentFile::query()
            ->where('assignment_id', $assignmentId)
            ->where('role', MaterialRole::Sheets)->where('path', $path)->first()?->sha256;
    }

    /** @param  Collection<int, AssignmentFile>|Collection<int, BriefFile>  $files */
    private function materials(Collection $files): Materials
    {
        $of = fn (MaterialRole $role) => $this->site($files, $role);

        return new Materials(
            $of(MaterialRole::Starter),
            $of(MaterialRole::Model),
            $of(MaterialRole::Copy),
            $of(MaterialRole::Sheets),
        );
    }

    /**
     * @param  Collection<int, AssignmentFile>|Collection<int, BriefFile>  $files
     * @return Site|null null where the assignment gives none
     */
    private function site(Collection $files, MaterialRole $role): ?Site
    {
        $read = [];
        foreach ($files as $file) {
            if ($file->role === $role) {
                $read[] = new SourceFile($file->path, $this->blobs->get($file->sha256));
            }
        }

        return $read === [] ? null : new Site($role->value, $read);
    }
}

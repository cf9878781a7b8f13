<?php

declare(strict_types=1);

namespace App\Sites;

use App\Intake\BlobStore;
use App\Models\Brief;
use App\Models\BriefFile;
use App\Models\HandIn;
use App\Models\MaterialRole;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Brief\Materials;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** Keeps what an assignment gives besides its brief, and gives it to a check as the sites they are. */
final readonly class MaterialStore
{
    public function __construct(private BlobStore $blobs)
    {
    }

    public function read(Brief $brief): Materials
    {
        $of = fn (MaterialRole $role) => $this->site($brief, $role);

        return new Materials($of(MaterialRole::Starter), $of(MaterialRole::Model), $of(MaterialRole::Copy), $of(MaterialRole::Sheets));
    }

    public function put(Brief $brief, MaterialRole $role, Site $site): void
    {
        foreach ($site->files() as $file) {
            BriefFile::query()->insert([
                'brief_id' => $brief->id,
                'role' => $role->value,
                'path' => $file->path,
                'sha256' => $this->blobs->put($file->bytes),
            ]);
        }
    }

    /** @return list<string> the paths of the stylesheets that an assignment gives */
    public static function givenSheets(string $assignmentId): array
    {
        $files = self::ofAssignment($assignmentId)->orderBy('path')->get();

        return array_values($files->map(fn (BriefFile $file) => $file->path)->all());
    }

    /** The hash of a stylesheet that the assignment of a hand-in gives; null where it gives none of that path. */
    public function givenSheet(string $handInId, string $path): ?string
    {
        $handIn = HandIn::query()->findOrFail($handInId);

        return self::ofAssignment($handIn->assignment_id)->where('path', $path)->first()?->sha256;
    }

    /** @return Builder<BriefFile> */
    private static function ofAssignment(string $assignmentId): Builder
    {
        $inForce = Brief::query()->where('assignment_id', $assignmentId)->orderByDesc('version')->limit(1)->select('id');

        return BriefFile::query()->where('role', MaterialRole::Sheets)->whereIn('brief_id', $inForce);
    }

    /** A new version of a brief has what the one before it had. */
    public static function carry(Brief $from, Brief $to): void
    {
        DB::statement(
            'insert into brief_files (brief_id, role, path, sha256) select ?, role, path, sha256 from brief_files where brief_id = ?',
            [$to->id, $from->id],
        );
    }

    /** Null where the assignment gives none. */
    private function site(Brief $brief, MaterialRole $role): ?Site
    {
        $files = $brief->files->filter(fn (BriefFile $file) => $file->role === $role);

        return $files->isEmpty() ? null : new Site(
            $role->value,
            $files->map(fn (BriefFile $file) => new SourceFile($file->path, $this->blobs->get($file->sha256))),
        );
    }
}

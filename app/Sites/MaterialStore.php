<?php

declare(strict_types=1);

namespace App\Sites;

use App\Intake\BlobStore;
use App\Models\Brief;
use App\Models\BriefFile;
use App\Models\MaterialRole;
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

        return new Materials($of(MaterialRole::Starter), $of(MaterialRole::Model), $of(MaterialRole::Copy));
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

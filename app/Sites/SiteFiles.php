<?php

declare(strict_types=1);

namespace App\Sites;

use App\Models\AssignmentFile;
use App\Models\HandInFile;
use App\Storage\BlobStore;
use Illuminate\Database\Eloquent\Builder;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** The files of a site, wherever it is kept. */
final readonly class SiteFiles
{
    public function __construct(private BlobStore $blobs)
    {
    }

    /** Null where there is no such site. */
    public function all(SitePlace $place): ?Site
    {
        if ($place->example() !== null) {
            $folder = Examples::all()[$place->example()] ?? null;

            return $folder === null ? null : (new FolderReader)->read($folder);
        }
        $files = $this->read($place, fn (Builder $query) => $query);

        return $files === [] ? null : new Site('', $files);
    }

    /** @param  list<string>  $paths  the first that there is, counts */
    public function first(SitePlace $place, array $paths): ?SourceFile
    {
        $files = $place->example() === null
            ? $this->read($place, fn (Builder $query) => $query->whereIn('path', $paths))
            : $this->all($place)?->files() ?? [];
        foreach ($paths as $path) {
            foreach ($files as $file) {
                if ($file->path === $path) {
                    return $file;
                }
            }
        }

        return null;
    }

    /** @return list<string> */
    public function paths(SitePlace $place): array
    {
        $files = $place->example() === null ? self::query($place)?->orderBy('path')->pluck('path')->all() : null;

        return array_values(array_filter($files ?? $this->all($place)?->paths() ?? [], is_string(...)));
    }

    /** The stylesheets alone. */
    public function sheets(SitePlace $place): Site
    {
        $isSheet = fn (SourceFile $file) => str_ends_with(strtolower($file->path), '.css');

        return new Site('', $place->example() === null
            ? $this->read($place, fn (Builder $query) => $query->where('path', 'ilike', '%.css'))
            : array_values(array_filter($this->all($place)?->files() ?? [], $isSheet)));
    }

    /**
     * @param  \Closure(Builder<HandInFile>|Builder<AssignmentFile>): mixed  $narrow
     * @return list<SourceFile>
     */
    private function read(SitePlace $place, \Closure $narrow): array
    {
        $query = self::query($place);
        if ($query === null) {
            return [];
        }
        $narrow($query);
        $files = [];
        foreach ($query->orderBy('path')->get() as $file) {
            $files[] = new SourceFile($file->path, $this->blobs->get($file->sha256));
        }

        return $files;
    }

    /** @return Builder<HandInFile>|Builder<AssignmentFile>|null null where no files are kept in the database */
    private static function query(SitePlace $place): ?Builder
    {
        return match (true) {
            $place->handInId() !== null => HandInFile::query()->where('hand_in_id', $place->handInId()),
            $place->role() !== null => AssignmentFile::query()
                ->where('assignment_id', $place->assignmentId)->where('role', $place->role()),
            default => null,
        };
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Sheet;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\Utf8;

/**
 * What an assignment gives besides its brief: files to begin from, a model answer, and texts and
 * stylesheets to be used as they are.
 */
final class Materials
{
    private ?ParsedSite $parsedStarter = null;

    private ?ParsedSite $parsedModel = null;

    private ?ParsedSite $parsedSheets = null;

    /**
     * @param  Site|null  $starter  the files that students begin from
     * @param  Site|null  $model  the model answer
     * @param  Site|null  $copy  texts that are to stand on pages, each a file
     * @param  Site|null  $sheets  stylesheets that pages are to link as they are
     */
    public function __construct(
        public readonly ?Site $starter = null,
        public readonly ?Site $model = null,
        public readonly ?Site $copy = null,
        public readonly ?Site $sheets = null,
    ) {
    }

    public static function none(): self
    {
        return new self;
    }

    public function parsedStarter(): ?ParsedSite
    {
        return $this->starter === null ? null : $this->parsedStarter ??= ParsedSite::of($this->starter);
    }

    public function parsedModel(): ?ParsedSite
    {
        return $this->model === null ? null : $this->parsedModel ??= ParsedSite::of($this->model);
    }

    /** @return array<string, Sheet> the given stylesheets, by path */
    public function parsedSheets(): array
    {
        if ($this->sheets === null) {
            return [];
        }

        return ($this->parsedSheets ??= ParsedSite::of($this->sheets))->sheets;
    }

    /** A supplied text as UTF-8; null when there is none of that name. */
    public function copy(string $name): ?string
    {
        $file = $this->copy?->file($name);

        return $file === null ? null : Utf8::scrub($file->bytes);
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Site\ParsedSite;

/** One site under one brief: what both together come to is worked out once, when it is first asked for. */
final class Examination
{
    /** @var array<string, Assessment> by the id of the requirement */
    private array $assessments = [];

    private ?LinkExpectations $expectations = null;

    public readonly Materials $materials;

    public function __construct(
        public readonly ParsedSite $site,
        public readonly Brief $brief,
        ?Materials $materials = null,
    ) {
        $this->materials = $materials ?? Materials::none();
    }

    public function assessment(Requirement $requirement): Assessment
    {
        return $this->assessments["id {$requirement->terms->id}"] ??= $requirement instanceof NeedsMaterials
            ? $requirement->assessAgainst($this->site, $this->materials)
            : $requirement->assess($this->site);
    }

    public function expectations(): LinkExpectations
    {
        return $this->expectations ??= LinkExpectations::of($this->site, $this->brief);
    }
}

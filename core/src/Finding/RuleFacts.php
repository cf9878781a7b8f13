<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

/** All that a rule says about itself. */
final readonly class RuleFacts
{
    /** If a file is empty or is no page, only that is reported, and not what a page in it would be missing. */
    private const FILE_RULES = ['file/empty', 'file/wrong-type', 'file/unreadable'];

    /** @var list<string> ids of rules whose findings explain those of this one, where they share a subject */
    public array $supersededBy;

    /**
     * @param  string  $title  two to five words, by which people know the rule
     * @param  string  $summary  one sentence: what the rule finds
     * @param  string  $why  what goes wrong for a reader, a browser or a server, for a beginner
     * @param  list<string>  $supersededBy  besides the rules about files, which explain whatever is inside a file
     */
    public function __construct(
        public string $id,
        public string $title,
        public Weight $weight,
        public ProofMark $mark,
        public string $summary,
        public string $why,
        public Citation $source,
        array $supersededBy = [],
    ) {
        $this->supersededBy = $this->group() === 'file' ? $supersededBy : [...$supersededBy, ...self::FILE_RULES];
    }

    public function group(): string
    {
        return explode('/', $this->id)[0];
    }
}

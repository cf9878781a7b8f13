<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Example\Example;
use InkedMargin\Core\Example\ExampleReader;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;

/** One thing that a check looks for. Its facts are here, its examples in `data/examples`. */
abstract readonly class Rule
{
    /** More than anybody reads, and than any site has that is not made of mistakes alone. */
    private const MAX_FINDINGS = 5_000;

    public string $id;

    public string $title;

    public Weight $weight;

    public ProofMark $mark;

    public function __construct(public RuleFacts $facts)
    {
        $this->id = $facts->id;
        $this->title = $facts->title;
        $this->weight = $facts->weight;
        $this->mark = $facts->mark;
    }

    /** @return iterable<Draft> what it finds besides what the brief asks, in any order */
    public function check(Examination $exam): iterable
    {
        return [];
    }

    /** @return list<Example> one or more for each variant */
    final public function examples(): array
    {
        return ExampleReader::read($this->id);
    }

    /** The example of one of its ways to fail; its first one for a variant that it does not have. */
    final public function example(string $variant): Example
    {
        return ExampleReader::of($this->id, $variant);
    }

    /** @return list<string> the names of its ways to fail; '' where there is only one */
    final public function variants(): array
    {
        return array_values(array_unique(ExampleReader::variants($this->id)));
    }

    /** @return list<Finding> */
    final public function findings(Examination $exam): array
    {
        $findings = [];
        foreach ($this->check($exam) as $draft) {
            $findings[] = $draft->finding($this->facts);
            if (count($findings) === self::MAX_FINDINGS) {
                break;
            }
        }

        return $findings;
    }

    /** What a requirement falls short of, in the words of the brief where it has its own. */
    final public function speakFor(Shortfall $shortfall, Requirement $requirement): Finding
    {
        $draft = $this->drafted($shortfall);
        $ownWords = $requirement->terms->message;
        if ($ownWords !== null) {
            $draft = $draft->says($ownWords)->remedy('');
        }

        return $draft->weight($requirement->terms->weight ?? $this->weight)
            ->finding($this->facts, $requirement->terms->id);
    }

    /** What it says of a shortfall, of whatever kind of requirement that is. */
    final protected function drafted(Shortfall $shortfall): Draft
    {
        return $shortfall->draft->variant(count($this->variants()) === 1 ? '' : $shortfall->draft->variant);
    }
}

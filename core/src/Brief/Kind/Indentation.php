<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\JudgedByFindings;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Site\SiteReading;

/** Markup is indented by one step a level. */
final readonly class Indentation extends Requirement implements JudgedByFindings
{
    public const RULE = 'markup/indentation';

    /** @param  int|null  $step  columns; null when any will do that a page keeps to */
    public function __construct(Terms $terms, public ?int $step)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'indentation';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $step = $fields->wholeNumber('step');
        if ($step === 0) {
            $fields->problem('step', 'a whole number of 1 or more was expected');
        }

        return new self($terms, $step);
    }

    public function sentence(): string
    {
        return $this->terms->pages->sentence().' is indented'.($this->step === null ? ' regularly.' : " by {$this->step} ".($this->step === 1 ? 'space' : 'spaces').' a level.');
    }

    public function judge(SiteReading $reading): Judgement
    {
        return $this->judgeBy([], $reading);
    }

    public function claims(string $rule, string $weight, string $file): bool
    {
        return $rule === self::RULE && $this->terms->pages->covers($file);
    }

    public function judgeBy(array $found, SiteReading $reading): Judgement
    {
        $pages = $this->terms->pages->of($reading);
        $straight = array_filter($pages, fn ($page) => ! isset($found[$page->path()]));

        return Judgement::pages(count($straight), count($pages), $this->step === null ? 'indented regularly' : "{$this->step} a level");
    }
}

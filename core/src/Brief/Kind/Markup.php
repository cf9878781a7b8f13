<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\JudgedByFindings;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Site\SiteReading;

/** Rules, or groups of rules, that are to find nothing, and characters that are to be written as character references. */
final readonly class Markup extends Requirement implements JudgedByFindings
{
    public const REFERENCES_RULE = 'markup/raw-character';

    /**
     * @param  list<string>  $rules  ids such as `markup/misnested`, or groups such as `markup`
     * @param  list<string>  $weights  what counts of a group; a rule named by its id counts in any weight
     * @param  int  $atMost  so many findings are still well
     * @param  list<string>  $references  characters
     */
    public function __construct(Terms $terms, public array $rules, private array $weights, private int $atMost, public array $references)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'markup';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $rules = $fields->texts('rules');
        $references = $fields->texts('references');
        if ($rules === [] && $references === []) {
            $fields->problem('rules', 'at least one rule or group is needed, such as markup or markup/misnested, or characters in "references"');
        }
        foreach ($references as $character) {
            if (mb_strlen($character) !== 1) {
                $fields->problem('references', "\"$character\" is not one character");
            }
        }
        $weights = $fields->texts('weights') ?: ['fault', 'departure'];
        foreach (array_diff($weights, ['fault', 'departure', 'tidy']) as $unknown) {
            $fields->problem('weights', "\"$unknown\" is none of fault, departure, tidy");
        }

        return new self($terms, $rules, $weights, $fields->wholeNumber('at_most') ?? 0, $references);
    }

    public function sentence(): string
    {
        $wishes = array_filter([
            $this->rules === [] ? '' : implode(', ', $this->rules).' '.($this->atMost === 0 ? 'finds nothing' : "finds at most {$this->atMost}"),
            $this->references === [] ? '' : implode(' ', $this->references).' is written as a character reference',
        ]);

        return $this->terms->pages->sentence().': '.implode(', and ', $wishes).'.';
    }

    public function judge(SiteReading $reading): Judgement
    {
        return $this->judgeBy([], $reading);
    }

    public function claims(string $rule, string $weight, string $file): bool
    {
        if (! $this->terms->pages->covers($file)) {
            return false;
        }
        if ($this->references !== [] && $rule === self::REFERENCES_RULE) {
            return true;
        }

        return in_array($rule, $this->rules, true)
            || (in_array(explode('/', $rule)[0], $this->rules, true) && in_array($weight, $this->weights, true));
    }

    public function judgeBy(array $found, SiteReading $reading): Judgement
    {
        $pages = $this->terms->pages->of($reading);
        $sum = array_sum($found);
        $expected = 'found: '.($this->atMost === 0 ? 'nothing' : "at most {$this->atMost}");
        if ($pages === []) {
            return Judgement::pages(0, 0, $expected);
        }
        $marred = count(array_filter($pages, fn ($page) => isset($found[$page->path()])));
        $met = $sum <= $this->atMost ? 1.0 : min(1 - $marred / count($pages), 0.99);

        return new Judgement($met, $sum === 0 ? 'nothing found' : "found: {$sum}, on {$marred} of ".count($pages).' pages', $expected);
    }
}

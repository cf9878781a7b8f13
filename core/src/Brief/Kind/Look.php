<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;

/** What only a person can judge, on a scale with words: nothing is computed. */
final readonly class Look extends Requirement
{
    private const SCALE = ['hard to read', 'can be read', 'reads well', 'a pleasure'];

    /** @param  non-empty-list<string>  $scale  words, from the worst to the best */
    public function __construct(Terms $terms, private ?string $question, public array $scale)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'look';
    }

    public static function about(): string
    {
        return 'What the instructor judges on a scale with words. Nothing is computed, and it counts once it is '
            .'judged.';
    }

    public static function fields(): array
    {
        return [
            Field::text('question', 'what is judged, such as: is it well laid out?'),
            Field::texts(
                'scale',
                'words from the worst to the best, two at least; `'.implode('`, `', self::SCALE)
                    .'` when it is left out',
            ),
        ];
    }

    public static function variants(): array
    {
        return [];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $scale = $fields->has('scale') ? $fields->texts('scale') : self::SCALE;
        if (count($scale) < 2 || count($scale) > 11 || count(array_unique($scale)) < count($scale)) {
            $fields->problem('scale', '2 to 11 different words were expected, from the worst to the best');
            $scale = self::SCALE;
        }

        return new self($terms, $fields->optionalText('question'), $scale);
    }

    public function sentence(): string
    {
        $quoted = array_map(fn (string $word) => "“{$word}”", $this->scale);

        return ($this->question === null ? 'The instructor judges this' : "{$this->question} The instructor judges it")
            .', from '.English::list([$quoted[0], $quoted[count($quoted) - 1]], 'to').'.';
    }

    public function isAboutPages(): bool
    {
        return false;
    }

    public function readsFiles(): bool
    {
        return false;
    }

    public function assess(ParsedSite $site): Assessment
    {
        return Assessment::notJudged('to be judged', $this->expectation());
    }

    public function choices(): array
    {
        $last = count($this->scale) - 1;

        return array_map(fn (int $step, string $words) => [
            'words' => $words,
            'points' => round($this->terms->points * $step / $last, 2),
        ], array_keys($this->scale), $this->scale);
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\AssessedByFindings;
use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\CharacterNames;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/**
 * Rules, or groups of rules, that are to find nothing, and characters that are to be written as character references.
 */
final readonly class Markup extends Requirement implements AssessedByFindings
{
    /**
     * @param  list<string>  $rules  ids such as `markup/misnested`, or groups such as `markup`
     * @param  list<Weight>  $weights  what counts of a group; a rule named by its id counts in any weight
     * @param  int  $atMost  so many findings are allowed
     * @param  list<string>  $references  characters
     */
    public function __construct(
        Terms $terms,
        private array $rules,
        private array $weights,
        private int $atMost,
        public array $references,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'markup';
    }

    public static function about(): string
    {
        return 'Rules that must find nothing, and characters that are written as character references.';
    }

    public static function fields(): array
    {
        return [
            Field::texts('rules', 'ids of rules (`markup/misnested`), or groups (`markup`)'),
            Field::texts(
                'weights',
                'what counts of a group; fault and departure when it is left out',
                choices: array_column(Weight::cases(), 'value'),
            ),
            Field::wholeNumber('at_most', 'so many findings are allowed; 0 when it is left out'),
            Field::texts('references', 'characters such as `©`'),
        ];
    }

    public static function variants(): array
    {
        return [
            'reference' => 'markup/raw-character',
        ];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $rules = $fields->texts('rules');
        $references = $fields->texts('references');
        if ($rules === [] && $references === []) {
            $fields->problem('rules', 'rules, or characters in "references", are needed');
        }
        self::checkReferences($references, $fields);
        $weights = array_values(array_filter(array_map(Weight::tryFrom(...), $fields->texts('weights'))));

        return new self(
            $terms,
            $rules,
            $weights ?: [Weight::Fault, Weight::Departure],
            $fields->wholeNumber('at_most') ?? 0,
            $references,
        );
    }

    /** @param  list<string>  $references */
    private static function checkReferences(array $references, Fields $fields): void
    {
        foreach ($references as $character) {
            if (mb_strlen($character) !== 1) {
                $fields->problem('references', "\"$character\" is not one character");
            }
        }
    }

    public function readsStyles(): bool
    {
        return true;
    }

    public function sentence(): string
    {
        $limit = $this->atMost === 0 ? 'no findings' : 'at most '.English::count($this->atMost, 'finding');
        $wishes = array_filter([
            $this->rules === [] ? '' : "has $limit of ".English::names($this->rules, 'or'),
            $this->references === [] ? '' : 'writes '.English::names($this->references).' as character references',
        ]);

        return $this->terms->pages->sentence().' '.implode(', and ', $wishes).'.';
    }

    /** What was found is asked for by `assessFindings`; without findings, the characters alone. */
    public function assess(ParsedSite $site): Assessment
    {
        return $this->assessFindings($site, [], $this->rawCharacters($this->terms->pages->of($site)));
    }

    public function claims(Finding $finding, ParsedSite $site): bool
    {
        $isOwn = $finding->requirement === $this->terms->id;
        if ($isOwn || ! $this->terms->pages->covers($site->expectedNameOf($finding->file))) {
            return false;
        }
        $isNamed = in_array($finding->rule, $this->rules, true) || in_array($finding->kind(), $this->rules, true);
        $isInGroup = in_array(explode('/', $finding->rule)[0], $this->rules, true);

        return $isNamed || ($isInGroup && in_array($finding->weight, $this->weights, true));
    }

    public function assessFindings(ParsedSite $site, array $findings, array $own): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $found = array_map(fn (Finding $finding) => Shortfall::found($finding, $finding->file), $findings);
        $all = [...$own, ...$found];
        $marred = Assessment::itemsIn($all);
        $measured = match (true) {
            $pages === [] => 'no such page',
            $all === [] => 'nothing found',
            default => count($all)." found, on $marred of ".English::count(count($pages), 'page'),
        };
        $expected = $this->atMost === 0 ? 'nothing found' : "at most {$this->atMost} found";

        return Assessment::of(count($pages), $all, $measured, $expected, $this->atMost);
    }

    /**
     * @param  list<Page>  $pages
     * @return list<Shortfall>
     */
    private function rawCharacters(array $pages): array
    {
        if ($this->references === []) {
            return [];
        }
        // An ampersand that begins a reference is what the brief wants.
        $one = fn (string $character) => preg_quote($character, '~').($character === '&' ? '(?!#?\w+;)' : '');
        $pattern = '~'.implode('|', array_map($one, $this->references)).'~';
        $shortfalls = [];
        foreach ($pages as $page) {
            foreach (Walk::nodes($page->document) as $node) {
                if (! $node instanceof TextNode || in_array($node->parent?->name, ['script', 'style'], true)) {
                    continue;
                }
                array_push($shortfalls, ...self::rawCharactersIn($node, $pattern, $page));
            }
        }

        return $shortfalls;
    }

    /** @return list<Shortfall> */
    private static function rawCharactersIn(TextNode $text, string $pattern, Page $page): array
    {
        $shortfalls = [];
        $start = $text->span()->start;
        preg_match_all(
            $pattern,
            substr($page->file->bytes, $start, $text->span()->length()),
            $matches,
            PREG_OFFSET_CAPTURE,
        );
        foreach ($matches[0] as [$character, $at]) {
            $shortfalls[] = self::rawCharacter(
                $character,
                new Span($start + $at, $start + $at + strlen($character)),
                $page,
            );
        }

        return $shortfalls;
    }

    private static function rawCharacter(string $character, Span $span, Page $page): Shortfall
    {
        $reference = CharacterNames::reference($character);

        return Shortfall::of(
            Draft::onPage($page, $span, "raw:$character")
                ->variant('reference')
                ->mark(ProofMark::Change)
                ->says("`$character` is typed directly; the brief asks for a character reference.")
                ->remedy("Type `$reference` instead.")
                ->mend(Mend::of(new Edit($page->file, $span, $reference))),
        );
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

/** Passages of the starter files that are to be replaced, and passages that are to stay. */
final readonly class Starter extends Requirement
{
    /**
     * @param  list<string>  $replaced  passages as they stand in the starter files, white space collapsed
     * @param  list<string>  $kept
     */
    public function __construct(Terms $terms, public array $replaced, public array $kept)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'starter';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $passages = fn (string $field) => array_map(self::collapse(...), $fields->texts($field));
        $starter = new self($terms, $passages('replaced'), $passages('kept'));
        if ($starter->replaced === [] && $starter->kept === []) {
            $fields->problem('replaced', 'at least one passage of the starter files is needed, in "replaced" or in "kept"');
        }
        if (in_array('', [...$starter->replaced, ...$starter->kept], true)) {
            $fields->problem('replaced', 'a passage has words');
        }

        return $starter;
    }

    public function sentence(): string
    {
        $quote = fn (array $passages) => implode(', ', array_map(fn (string $passage) => "“{$passage}”", $passages));

        return implode(' ', array_filter([
            $this->replaced === [] ? '' : "{$quote($this->replaced)} of the starter is replaced.",
            $this->kept === [] ? '' : "{$quote($this->kept)} is kept.",
        ]));
    }

    public function judge(SiteReading $reading): Judgement
    {
        $pages = $this->terms->pages->of($reading);
        $standing = array_filter($this->replaced, fn (string $passage) => array_filter($pages, fn (Page $page) => str_contains(self::textOf($page), $passage)) !== []);
        $lost = array_filter($this->kept, fn (string $passage) => array_filter($pages, fn (Page $page) => str_contains(self::textOf($page), $passage)) === []);
        $of = count($this->replaced) + count($this->kept);
        $met = $of - count($standing) - count($lost);

        return $pages === [] ? Judgement::pages(0, 0, rtrim($this->sentence(), '.')) : Judgement::share($met, $of, "{$met} of {$of} passages", rtrim($this->sentence(), '.'));
    }

    /** @return list<array{Element, string}> the innermost elements of a page that still hold a passage to be replaced */
    public function standingIn(Page $page): array
    {
        $found = [];
        foreach ($this->replaced as $passage) {
            $innermost = null;
            foreach ($page->elements as $element) {
                if (($innermost === null || $element->parent === $innermost) && str_contains(self::collapse($element->text()), $passage)) {
                    $innermost = $element;
                }
            }
            if ($innermost !== null) {
                $found[] = [$innermost, $passage];
            }
        }

        return $found;
    }

    private static function textOf(Page $page): string
    {
        return self::collapse(implode(' ', array_map(fn ($node) => $node instanceof Element ? $node->text() : '', $page->document->children)));
    }

    private static function collapse(string $text): string
    {
        return trim(preg_replace('/\s+/u', ' ', $text) ?? '');
    }
}

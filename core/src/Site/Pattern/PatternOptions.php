<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

/** What is asked of a pattern beyond its kind. */
final readonly class PatternOptions
{
    /**
     * @param  list<string>  $order  pages of a chain or ring in order; found out when it is empty
     * @param  array<string, string>  $labels  the words of the ways on and back, by way
     * @param  bool  $mayClose  whether the ends of a chain may close onto the home page
     * @param  int  $choices  of a page in a branching story
     * @param  int|null  $depth  choices from the home page to an ending; null when endings may be anywhere
     * @param  string  $index  the page that lists the others
     */
    public function __construct(
        public array $order = [],
        public array $labels = [],
        public bool $mayClose = true,
        public int $choices = 2,
        public ?int $depth = null,
        public string $index = 'index.html',
    ) {
    }

    /**
     * The same with the paths that pages have on a site.
     *
     * @param  \Closure(string): string  $at
     */
    public function on(\Closure $at): self
    {
        return new self(
            array_map($at, $this->order),
            $this->labels,
            $this->mayClose,
            $this->choices,
            $this->depth,
            $at($this->index),
        );
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Kind\Attributes;
use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Glob;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;

/** The requirements of one assignment. */
final readonly class Brief
{
    /**
     * @param  list<Requirement>  $requirements  with ids that differ
     * @param  list<Ignored>  $ignored
     */
    public function __construct(
        public string $title,
        public array $requirements,
        public array $ignored = [],
        public Scheme $scheme = new Scheme,
        public ?string $comment = null,
    ) {
    }

    /** What is checked when nothing was asked for: the rules alone. */
    public static function none(): self
    {
        return new self('No brief', []);
    }

    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            Field::text('title', 'what the assignment is called', true, 200),
            Field::text('comment', 'for yourself and those you teach with; students never see it', false, 20_000),
        ];
    }

    /**
     * @template T of Requirement
     *
     * @param  class-string<T>  $kind
     * @return list<T>
     */
    public function ofKind(string $kind): array
    {
        return array_values(array_filter($this->requirements, fn (Requirement $one) => $one instanceof $kind));
    }

    /**
     * The first requirement of a kind that is about a page.
     *
     * @template T of Requirement
     *
     * @param  class-string<T>  $kind
     * @return T|null
     */
    public function covering(string $path, string $kind): ?Requirement
    {
        foreach ($this->ofKind($kind) as $requirement) {
            if ($requirement->terms->pages->covers($path)) {
                return $requirement;
            }
        }

        return null;
    }

    public function ignores(string $rule, string $variant, string $file): bool
    {
        foreach ($this->ignored as $ignored) {
            if ($ignored->covers($rule, $variant, $file)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether it asks for a name: a file, a folder, an element. What a brief asks for is not advised against.
     *
     * @param  'path'|'element'  $what
     */
    public function asksFor(string $what, string $name): bool
    {
        foreach ($this->requirements as $requirement) {
            if ($requirement instanceof NamesThings && in_array($name, $requirement->named($what), true)) {
                return true;
            }
        }

        return false;
    }

    /** Whether it forbids an attribute on an element: then nobody is advised to add it. */
    public function forbids(Page $page, Element $element, string $attribute): bool
    {
        $isForbidden = fn (Attributes $one) => $one->forbids($page, $element, $attribute);

        return array_filter($this->ofKind(Attributes::class), $isForbidden) !== [];
    }

    /** Whether it asks for an attribute on an element: then nobody is advised to remove it. */
    public function wants(Page $page, Element $element, string $attribute): bool
    {
        $isWanted = fn (Attributes $one) => $one->wants($page, $element, $attribute);

        return array_filter($this->ofKind(Attributes::class), $isWanted) !== [];
    }

    /**
     * The paths of files that it names, from the root of a site.
     *
     * @return list<string> each once
     */
    public function paths(): array
    {
        $listed = array_merge(...array_map(fn (Files $files) => $files->names, $this->ofKind(Files::class)));
        $names = array_filter($listed, fn (string $name) => ! Glob::isPattern($name));

        return array_values(array_unique(
            [...$names, ...NeededPages::of($this, Materials::none())->names],
        ));
    }

    /** Points that can be had in all. */
    public function points(): float
    {
        return array_sum(array_map(fn (Requirement $requirement) => $requirement->terms->points, $this->requirements));
    }
}

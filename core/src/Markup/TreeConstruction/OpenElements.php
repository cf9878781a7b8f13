<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Source\CheckLimits;
use InkedMargin\Core\Source\OverLimit;

/**
 * The stack of open elements (HTML Standard, 13.2.4.2).
 *
 * It keeps count of the names in it, so that asking for one that is not there costs nothing, however deep the stack.
 */
final class OpenElements
{
    private const IMPLIED = [
        'dd' => true, 'dt' => true, 'li' => true, 'optgroup' => true, 'option' => true, 'p' => true, 'rb' => true,
        'rp' => true, 'rt' => true, 'rtc' => true,
    ];

    private const IMPLIED_THOROUGHLY = self::IMPLIED + [
        'caption' => true, 'colgroup' => true, 'tbody' => true, 'td' => true, 'tfoot' => true, 'th' => true,
        'thead' => true, 'tr' => true,
    ];

    private const SCOPE = [
        'applet' => true, 'caption' => true, 'html' => true, 'table' => true, 'td' => true, 'th' => true,
        'marquee' => true, 'object' => true, 'template' => true,
    ];

    private const FOREIGN_SCOPE = [
        'mi' => true, 'mo' => true, 'mn' => true, 'ms' => true, 'mtext' => true, 'annotation-xml' => true,
        'foreignObject' => true, 'desc' => true, 'title' => true,
    ];

    private const LIST_ITEM_SCOPE = self::SCOPE + ['ol' => true, 'ul' => true];

    private const BUTTON_SCOPE = self::SCOPE + ['button' => true];

    private const TABLE_SCOPE = ['html' => true, 'table' => true, 'template' => true];

    /** @var array<int, Element> without gaps, the root first */
    private array $elements = [];

    private int $height = 0;

    /** The last that was opened. A property, as it is asked for with every token. */
    public ?Element $current = null;

    /** @var array<string, int> open HTML elements by name */
    private array $counts = [];

    /** @var array<string, int> open elements of other vocabularies by lower-cased name */
    private array $foreignCounts = [];

    /** @throws OverLimit */
    public function push(Element $element): void
    {
        $this->elements[] = $this->current = $element;
        if (++$this->height > CheckLimits::NESTING) {
            throw new OverLimit('This page has elements nested more than '.CheckLimits::NESTING.' deep.');
        }
        if ($element->namespace === NodeNamespace::Html) {
            $this->counts[$element->name] = ($this->counts[$element->name] ?? 0) + 1;
        } else {
            $name = strtolower($element->name);
            $this->foreignCounts[$name] = ($this->foreignCounts[$name] ?? 0) + 1;
        }
    }

    public function pop(int $offset, Closing $closing = Closing::Other): Element
    {
        $element = array_pop($this->elements) ?? throw new \LogicException('No element is open.');
        $this->height--;
        $this->current = $this->elements[$this->height - 1] ?? null;
        $this->forget($element, $offset, $closing);

        return $element;
    }

    public function height(): int
    {
        return $this->height;
    }

    /** @param  int  $depth 0 for the root */
    public function at(int $depth): Element
    {
        return $this->elements[$depth];
    }

    /** How deep an element is, 0 for the root; searched from the top. */
    public function depthOf(Element $element): ?int
    {
        for ($depth = $this->height - 1; $depth >= 0; $depth--) {
            if ($this->elements[$depth] === $element) {
                return $depth;
            }
        }

        return null;
    }

    public function holds(string $name): bool
    {
        return ($this->counts[$name] ?? 0) > 0;
    }

    /** @param  string  $name in lower case */
    public function holdsForeign(string $name): bool
    {
        return ($this->foreignCounts[$name] ?? 0) > 0;
    }

    public function remove(Element $element, int $offset): void
    {
        $depth = $this->depthOf($element);
        if ($depth !== null) {
            array_splice($this->elements, $depth, 1);
            $this->height--;
            $this->current = $this->elements[$this->height - 1] ?? null;
            $this->forget($element, $offset, Closing::Other);
        }
    }

    public function insertAbove(int $depth, Element $element): void
    {
        array_splice($this->elements, $depth, 0, [$element]);
        $this->current = $this->elements[$this->height++];
        $this->counts[$element->name] = ($this->counts[$element->name] ?? 0) + 1;
    }

    public function replace(int $depth, Element $by, int $offset): void
    {
        $this->forget($this->elements[$depth], $offset, Closing::Other);
        $this->elements[$depth] = $by;
        $this->current = $this->elements[$this->height - 1];
        $this->counts[$by->name] = ($this->counts[$by->name] ?? 0) + 1;
    }

    /** Pops up to and with the given element, which an end tag may have closed. */
    public function popThrough(Element $element, int $offset, Closing $closing = Closing::Other): void
    {
        do {
            $popped = $this->pop($offset);
        } while ($popped !== $element);
        $popped->closing = $closing;
    }

    /** Pops until an HTML element of one of the names has been popped, and gives it. */
    public function popUntil(int $offset, Closing $closing, string ...$names): Element
    {
        do {
            $popped = $this->pop($offset);
        } while ($popped->namespace !== NodeNamespace::Html || ! in_array($popped->name, $names, true));
        $popped->closing = $closing;

        return $popped;
    }

    /**
     * Clears the stack back to a context (13.2.6.4.9, 13.2.6.4.13, 13.2.6.4.14): pops until one of the names is
     * current.
     */
    public function clearBackTo(int $offset, string ...$names): void
    {
        while (($current = $this->current) !== null && ($current->namespace !== NodeNamespace::Html
            || ! in_array($current->name, $names, true))) {
            $this->pop($offset);
        }
    }

    /** 13.2.6.3: "generate implied end tags", but for one name. */
    public function generateImpliedEndTags(int $offset, string $but = ''): void
    {
        while (
            ($current = $this->current) !== null && $current->name !== $but
            && $current->namespace === NodeNamespace::Html && isset(self::IMPLIED[$current->name])
        ) {
            $this->pop($offset);
        }
    }

    /** 13.2.6.3: "generate all implied end tags thoroughly". */
    public function generateAllImpliedEndTags(int $offset): void
    {
        while (($current = $this->current) !== null && $current->namespace === NodeNamespace::Html
            && isset(self::IMPLIED_THOROUGHLY[$current->name])) {
            $this->pop($offset);
        }
    }

    public function hasInScope(string ...$names): bool
    {
        return $this->search(self::SCOPE, ...$names);
    }

    public function hasInListItemScope(string $name): bool
    {
        return $this->search(self::LIST_ITEM_SCOPE, $name);
    }

    public function hasInButtonScope(string $name): bool
    {
        return $this->search(self::BUTTON_SCOPE, $name);
    }

    public function hasInTableScope(string ...$names): bool
    {
        return $this->search(self::TABLE_SCOPE, ...$names);
    }

    /** Everything but optgroup and option ends the select scope. */
    public function hasInSelectScope(string $name): bool
    {
        for ($depth = $this->height - 1; $depth >= 0; $depth--) {
            $element = $this->elements[$depth];
            if ($element->is($name)) {
                return true;
            }
            if (! $element->is('optgroup') && ! $element->is('option')) {
                return false;
            }
        }

        return false;
    }

    public function hasElementInScope(Element $wanted): bool
    {
        for ($depth = $this->height - 1; $depth >= 0; $depth--) {
            $element = $this->elements[$depth];
            if ($element === $wanted) {
                return true;
            }
            if ($this->ends($element, self::SCOPE)) {
                return false;
            }
        }

        return false;
    }

    /** @param  array<string, true>  $scope */
    private function search(array $scope, string ...$names): bool
    {
        foreach ($names as $name) {
            if (($this->counts[$name] ?? 0) > 0) {
                break;
            }
            $name = null;
        }
        if (($name ?? null) === null) {
            return false;
        }
        for ($depth = $this->height - 1; $depth >= 0; $depth--) {
            $element = $this->elements[$depth];
            if ($element->namespace === NodeNamespace::Html && in_array($element->name, $names, true)) {
                return true;
            }
            if ($this->ends($element, $scope)) {
                return false;
            }
        }

        return false;
    }

    /** @param  array<string, true>  $scope */
    private function ends(Element $element, array $scope): bool
    {
        return match ($element->namespace) {
            NodeNamespace::Html => isset($scope[$element->name]),
            default => $scope !== self::TABLE_SCOPE && isset(self::FOREIGN_SCOPE[$element->name])
                && ($element->namespace === NodeNamespace::Svg) === in_array(
                    $element->name,
                    ['foreignObject', 'desc', 'title'],
                    true,
                ),
        };
    }

    private function forget(Element $element, int $offset, Closing $closing): void
    {
        $element->closedAt ??= $offset;
        $element->closing = $closing;
        if ($element->namespace === NodeNamespace::Html) {
            $this->counts[$element->name]--;
        } else {
            $this->foreignCounts[strtolower($element->name)]--;
        }
    }
}

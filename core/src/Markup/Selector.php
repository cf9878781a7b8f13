<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use Symfony\Component\CssSelector\Exception\ExceptionInterface;
use Symfony\Component\CssSelector\Node as Ast;
use Symfony\Component\CssSelector\Parser\Parser;

/**
 * A CSS selector held against elements of our own tree.
 *
 * Parsed by symfony/css-selector; matched here for type, class, id and attribute selectors, `:not()` of those,
 * and the four combinators (Selectors 4, sections 5, 6 and 15).
 */
final readonly class Selector
{
    /** @param  list<Ast\NodeInterface>  $alternatives */
    private function __construct(public string $written, private array $alternatives)
    {
    }

    /** @throws SelectorError when the text is no selector, or one of a kind that is not matched here */
    public static function parse(string $written): self
    {
        try {
            $alternatives = array_map(fn (Ast\SelectorNode $node) => $node->getTree(), (new Parser)->parse($written));
        } catch (ExceptionInterface $error) {
            throw new SelectorError("\"$written\" is not a CSS selector: {$error->getMessage()}");
        }
        $selector = new self($written, array_values($alternatives));
        array_map($selector->refuseUnknownParts(...), $alternatives);

        return $selector;
    }

    public function matches(Element $element): bool
    {
        foreach ($this->alternatives as $alternative) {
            if (self::match($alternative, $element)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Element> in document order */
    public function all(Document $document): array
    {
        $found = [];
        foreach ($document->elements() as $element) {
            if ($this->matches($element)) {
                $found[] = $element;
            }
        }

        return $found;
    }

    /** @return list<string> the names of elements that it speaks of */
    public function elementNames(): array
    {
        preg_match_all('/(?<![\w.#:\[="\'-])([a-z][a-z0-9-]*)(?![\w-]*[="\'\]])/i', $this->written, $names);

        return array_map(strtolower(...), $names[1]);
    }

    private static function match(Ast\NodeInterface $node, Element $element): bool
    {
        return match (true) {
            $node instanceof Ast\ElementNode => $node->getElement() === null
                || strtolower($node->getElement()) === $element->name,
            $node instanceof Ast\ClassNode => in_array($node->getName(), $element->classes(), true)
                && self::match($node->getSelector(), $element),
            $node instanceof Ast\HashNode => $element->value('id') === $node->getId()
                && self::match($node->getSelector(), $element),
            $node instanceof Ast\AttributeNode => self::matchAttribute($node, $element)
                && self::match($node->getSelector(), $element),
            $node instanceof Ast\NegationNode => self::match($node->getSelector(), $element)
                && ! self::match($node->getSubSelector(), $element),
            $node instanceof Ast\CombinedSelectorNode => self::match($node->getSubSelector(), $element)
                && self::matchCombined($node, $element),
            default => false,
        };
    }

    private static function matchAttribute(Ast\AttributeNode $node, Element $element): bool
    {
        $value = $element->value(strtolower($node->getAttribute()));
        $wanted = (string) $node->getValue();
        if ($value === null) {
            return false;
        }

        return match ($node->getOperator()) {
            'exists' => true,
            '=' => $value === $wanted,
            '~=' => $wanted !== '' && in_array($wanted, preg_split('/\s+/', $value) ?: [], true),
            '|=' => $value === $wanted || str_starts_with($value, $wanted.'-'),
            '^=' => $wanted !== '' && str_starts_with($value, $wanted),
            '$=' => $wanted !== '' && str_ends_with($value, $wanted),
            '*=' => $wanted !== '' && str_contains($value, $wanted),
            default => false,
        };
    }

    private static function matchCombined(Ast\CombinedSelectorNode $node, Element $element): bool
    {
        $left = $node->getSelector();
        if ($node->getCombinator() === '>') {
            return $element->parent instanceof Element && self::match($left, $element->parent);
        }
        if ($node->getCombinator() === ' ') {
            for ($above = $element->parent; $above instanceof Element; $above = $above->parent) {
                if (self::match($left, $above)) {
                    return true;
                }
            }

            return false;
        }
        $before = self::elementsBefore($element);

        return match ($node->getCombinator()) {
            '+' => $before !== [] && self::match($left, $before[count($before) - 1]),
            default => array_filter($before, fn (Element $sibling) => self::match($left, $sibling)) !== [],
        };
    }

    /** @return list<Element> */
    private static function elementsBefore(Element $element): array
    {
        $before = [];
        foreach ($element->parent->children ?? [] as $sibling) {
            if ($sibling === $element) {
                break;
            }
            if ($sibling instanceof Element) {
                $before[] = $sibling;
            }
        }

        return $before;
    }

    private function refuseUnknownParts(Ast\NodeInterface $node): void
    {
        $parts = match (true) {
            $node instanceof Ast\ElementNode => [],
            $node instanceof Ast\ClassNode, $node instanceof Ast\HashNode, $node instanceof Ast\AttributeNode => [$node->getSelector()],
            $node instanceof Ast\NegationNode, $node instanceof Ast\CombinedSelectorNode => [
                $node->getSelector(),
                $node->getSubSelector(),
            ],
            default => throw new SelectorError(
                "\"$this->written\" uses a kind of selector that a brief cannot count with yet. Type, class, id, attribute, :not() and the combinators work.",
            ),
        };
        array_map($this->refuseUnknownParts(...), $parts);
    }
}

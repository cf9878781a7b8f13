<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Grammar\GrammarNode;
use InkedMargin\Core\Style\Grammar\InAnyOrder;
use InkedMargin\Core\Style\Grammar\Keyword;
use InkedMargin\Core\Style\Grammar\OneOf;
use InkedMargin\Core\Style\Grammar\PropertyValue;
use InkedMargin\Core\Style\Grammar\Repeat;
use InkedMargin\Core\Style\Grammar\Required;
use InkedMargin\Core\Style\Grammar\Sequence;
use InkedMargin\Core\Style\Grammar\Type;

/** The words that a property may hold, and the types of the other things that it may. */
final class Keywords
{
    /** @var array<string, self> by property */
    private static array $known = [];

    /** @var array<string, true> */
    private array $words = [];

    /** @var array<string, BasicType> */
    private array $types = [];

    /** @var array<string, true> */
    private array $seen = [];

    private function __construct()
    {
    }

    /** @return list<string> in the order of the definition; names of colours are not among them */
    public static function of(string $property): array
    {
        return array_map(strval(...), array_keys(self::read($property)->words));
    }

    /** Whether a number, a length or the like may stand somewhere in it. */
    public static function allow(string $property, BasicType $type): bool
    {
        return in_array($type, self::read($property)->types, true);
    }

    private static function read(string $property): self
    {
        if (! isset(self::$known[$property])) {
            $keywords = new self;
            $node = Definitions::ofProperty($property);
            if ($node !== null) {
                $keywords->look($node);
            }
            self::$known[$property] = $keywords;
        }

        return self::$known[$property];
    }

    private function look(GrammarNode $node): void
    {
        if ($node instanceof Keyword) {
            $this->words[$node->word] = true;
        } elseif ($node instanceof Type) {
            $this->type($node->name);
        } elseif ($node instanceof PropertyValue) {
            $this->lookOnce("'$node->name'", Definitions::ofProperty($node->name));
        } elseif ($node instanceof Repeat || $node instanceof Required) {
            $this->look($node->part);
        } elseif ($node instanceof Sequence || $node instanceof OneOf || $node instanceof InAnyOrder) {
            array_map($this->look(...), $node->parts);
        }
    }

    private function type(string $name): void
    {
        $basic = BasicType::named($name);
        if ($basic !== null) {
            $this->types[$basic->value] = $basic;
        } elseif (in_array($name, ['color', 'system-color', 'named-color', 'counter-style'], true)) {
            $this->types['hex-color'] = $name === 'color'
                ? BasicType::HexColor
                : $this->types['hex-color'] ?? BasicType::Ident;
        } else {
            $this->lookOnce($name, Definitions::ofType($name));
        }
    }

    private function lookOnce(string $name, ?GrammarNode $node): void
    {
        if ($node !== null && ! isset($this->seen[$name])) {
            $this->seen[$name] = true;
            $this->look($node);
        }
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;

/** An attribute that the standard requires on its element (HTML Standard, section 4). */
final readonly class MissingAttribute extends ElementRule
{
    public function __construct()
    {
        parent::__construct(
            'markup/missing-attribute',
            Weight::Fault,
            ProofMark::Insert,
            'A required attribute is missing.',
            ['style/missing-rel'],
        );
    }

    protected function concerns(string $name): bool
    {
        return isset(self::required()[$name]);
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Finding
    {
        foreach (self::required()[$element->name] as $names) {
            $names = (array) $names;
            if (array_intersect_key(
                array_flip($names),
                $element->attributes,
            ) !== [] || self::isOtherwiseUsed($element)) {
                continue;
            }

            return $this->elementFinding(
                $page,
                $element,
                "`<{$element->name}>` needs the attribute `{$names[0]}`, and does nothing without it.",
                "Add `{$names[0]}=\"…\"` to the tag.",
                about: "!{$names[0]}",
            );
        }

        return null;
    }

    /** Microdata and RDFa give `meta` and `link` a use of their own. */
    private static function isOtherwiseUsed(Element $element): bool
    {
        return in_array($element->name, ['meta', 'link'], true)
            && ($element->attribute('property') ?? $element->attribute('itemprop')) !== null;
    }

    /** @return array<string, list<string|list<string>>> */
    private static function required(): array
    {
        /** @var array<string, list<string|list<string>>>|null $required */
        static $required = null;

        return $required ??= require __DIR__.'/../../../data/required-attributes.php';
    }
}

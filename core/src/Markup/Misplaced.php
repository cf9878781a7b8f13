<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** An element or text where the content model does not allow it. */
final readonly class Misplaced
{
    /**
     * @param  list<string>  $others the elements that it should be in, or that its parent may hold, or the one it
     *     conflicts with
     */
    public function __construct(public Element|TextNode $node, public MisplacedKind $kind, public array $others = [])
    {
    }
}

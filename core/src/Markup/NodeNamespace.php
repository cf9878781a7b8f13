<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** The vocabularies that an element of a page can belong to. */
enum NodeNamespace
{
    case Html;
    case Svg;
    case MathMl;
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

/** Why nobody can tell from the stylesheets how well a text can be read. */
enum Unjudged: string
{
    case Picture = 'a picture or a gradient is behind it';
    case Placed = 'it is laid over other parts of the page';
    case Colour = 'its colour, or that behind it, is of a kind that is not worked out';
}

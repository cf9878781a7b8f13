<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** What the value of a brief's field is. */
enum FieldType: string
{
    case Text = 'text';
    /** one text, or a list of them */
    case Texts = 'texts';
    /** a CSS selector */
    case Selector = 'selector';
    case Number = 'number';
    case WholeNumber = 'whole number';
    case Flag = 'yes or no';
    /** one of a few words */
    case Choice = 'choice';
    /** nested parts of a page */
    case Parts = 'parts';
    /** entries of a menu, each as `page: label` */
    case Entries = 'entries';
    /** pages: all, home, names, or all but some */
    case Pages = 'pages';
    /** points by how many things are wrong */
    case Steps = 'steps';
}

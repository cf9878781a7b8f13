<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

/** What is wrong with a value, by what mends it. */
enum FixKind: string
{
    /** a length without its unit */
    case Unit = 'unit';
    /** a unit that there is not, near one that there is */
    case UnitName = 'unit-name';
    /** white space between a number and its unit */
    case Space = 'space';
    /** a hexadecimal colour without `#` */
    case Hash = 'hash';
    /** a misspelt word */
    case Word = 'word';
    case Comma = 'comma';
    case NoComma = 'no-comma';
    /** quotes around a word that is no text */
    case Quotes = 'quotes';
    /** a misspelt `!important` */
    case Important = 'important';
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

/** What becomes of a declaration. */
enum Verdict
{
    case Valid;
    /** the property is known, and its value cannot be this */
    case Invalid;
    case UnknownProperty;
    /** of one maker's browsers, by a hyphen at its beginning */
    case Vendor;
    /** a string or an address in it is broken, which is told where it is */
    case Broken;
}

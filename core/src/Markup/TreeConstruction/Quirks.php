<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Mode;
use InkedMargin\Core\Markup\Parser\DoctypeToken;

/** Which doctypes put a document in quirks or limited-quirks mode (HTML Standard, 13.2.6.4.1). */
final readonly class Quirks
{
    private const PUBLIC_IDS = ['-//w3o//dtd w3 html strict 3.0//en//', '-/w3c/dtd html 4.0 transitional/en', 'html'];

    private const PUBLIC_PREFIXES = [
        '+//silmaril//dtd html pro v0r11 19970101//', '-//as//dtd html 3.0 aswedit + extensions//',
        '-//advasoft ltd//dtd html 3.0 aswedit + extensions//',
        '-//ietf//dtd html 2.0 level 1//', '-//ietf//dtd html 2.0 level 2//', '-//ietf//dtd html 2.0 strict level 1//',
        '-//ietf//dtd html 2.0 strict level 2//',
        '-//ietf//dtd html 2.0 strict//', '-//ietf//dtd html 2.0//', '-//ietf//dtd html 2.1e//',
        '-//ietf//dtd html 3.0//', '-//ietf//dtd html 3.2 final//',
        '-//ietf//dtd html 3.2//', '-//ietf//dtd html 3//', '-//ietf//dtd html level 0//',
        '-//ietf//dtd html level 1//', '-//ietf//dtd html level 2//',
        '-//ietf//dtd html level 3//', '-//ietf//dtd html strict level 0//', '-//ietf//dtd html strict level 1//',
        '-//ietf//dtd html strict level 2//',
        '-//ietf//dtd html strict level 3//', '-//ietf//dtd html strict//', '-//ietf//dtd html//',
        '-//metrius//dtd metrius presentational//',
        '-//microsoft//dtd internet explorer 2.0 html strict//', '-//microsoft//dtd internet explorer 2.0 html//',
        '-//microsoft//dtd internet explorer 2.0 tables//',
        '-//microsoft//dtd internet explorer 3.0 html strict//', '-//microsoft//dtd internet explorer 3.0 html//',
        '-//microsoft//dtd internet explorer 3.0 tables//',
        '-//netscape comm. corp.//dtd html//', '-//netscape comm. corp.//dtd strict html//',
        "-//o'reilly and associates//dtd html 2.0//",
        "-//o'reilly and associates//dtd html extended 1.0//",
        "-//o'reilly and associates//dtd html extended relaxed 1.0//",
        '-//sq//dtd html 2.0 hotmetal + extensions//',
        '-//softquad software//dtd hotmetal pro 6.0::19990601::extensions to html 4.0//',
        '-//softquad//dtd hotmetal pro 4.0::19971010::extensions to html 4.0//', '-//spyglass//dtd html 2.0 extended//',
        '-//sun microsystems corp.//dtd hotjava html//',
        '-//sun microsystems corp.//dtd hotjava strict html//', '-//w3c//dtd html 3 1995-03-24//',
        '-//w3c//dtd html 3.2 draft//', '-//w3c//dtd html 3.2 final//',
        '-//w3c//dtd html 3.2//', '-//w3c//dtd html 3.2s draft//', '-//w3c//dtd html 4.0 frameset//',
        '-//w3c//dtd html 4.0 transitional//',
        '-//w3c//dtd html experimental 19960712//', '-//w3c//dtd html experimental 970421//', '-//w3c//dtd w3 html//',
        '-//w3o//dtd w3 html 3.0//',
        '-//webtechs//dtd mozilla html 2.0//', '-//webtechs//dtd mozilla html//',
    ];

    private const SYSTEM_ID = 'http://www.ibm.com/data/dtd/v11/ibmxhtml1-transitional.dtd';

    private const FRAMESET_OR_TRANSITIONAL = [
        '-//w3c//dtd html 4.01 frameset//',
        '-//w3c//dtd html 4.01 transitional//',
    ];

    private const LIMITED = ['-//w3c//dtd xhtml 1.0 frameset//', '-//w3c//dtd xhtml 1.0 transitional//'];

    public static function modeOf(DoctypeToken $doctype): Mode
    {
        $public = strtolower($doctype->publicId ?? '');
        $system = strtolower($doctype->systemId ?? '');
        if ($doctype->forceQuirks || $doctype->name !== 'html' || in_array(
            $public,
            self::PUBLIC_IDS,
            true,
        ) || $system === self::SYSTEM_ID
            || self::begins($public, self::PUBLIC_PREFIXES)
            || ($doctype->systemId === null && self::begins($public, self::FRAMESET_OR_TRANSITIONAL))) {
            return Mode::Quirks;
        }

        return self::begins($public, [...self::LIMITED, ...self::FRAMESET_OR_TRANSITIONAL])
            ? Mode::LimitedQuirks
            : Mode::NoQuirks;
    }

    /** Whether the doctype is the one of 13.1.1, so that it is no parse error. */
    public static function conforms(DoctypeToken $doctype): bool
    {
        return $doctype->name === 'html'
            && $doctype->publicId === null
            && ($doctype->systemId === null || $doctype->systemId === 'about:legacy-compat');
    }

    /** @param  list<string>  $prefixes */
    private static function begins(string $id, array $prefixes): bool
    {
        foreach ($prefixes as $prefix) {
            if (str_starts_with($id, $prefix)) {
                return true;
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

use InkedMargin\Core\Source\Utf8;

/** Makes a path inside a site out of the name an archive gives, or refuses it. */
final readonly class EntryName
{
    /**
     * @return string the path with `/` between folders, without `.` segments
     *
     * @throws Refusal when it would leave the site's folder, or is no name for a file
     */
    public static function clean(string $name, Limits $limits): string
    {
        $shown = Utf8::scrub($name);
        $path = str_replace('\\', '/', $name);
        if (str_starts_with($path, '/') || preg_match('~^[A-Za-z]:~', $path) === 1) {
            throw new Refusal(
                RefusalReason::AbsolutePath,
                "The entry \"$shown\" has an absolute path. Zip the site's folder, not a whole disk.",
            );
        }
        $segments = array_values(
            array_filter(explode('/', $path), fn (string $segment) => $segment !== '' && $segment !== '.'),
        );
        if (in_array('..', $segments, true)) {
            throw new Refusal(
                RefusalReason::EscapingPath,
                "The entry \"$shown\" climbs out of the archive with \"..\".",
            );
        }
        if ($segments === [] || preg_match('/[\x00-\x1f\x7f]/', $path) === 1 || strlen($path) > $limits->pathBytes) {
            throw new Refusal(RefusalReason::BadName, "The entry \"$shown\" has a name that no file can have here.");
        }
        if (count($segments) > $limits->depth) {
            throw new Refusal(
                RefusalReason::TooDeep,
                "The entry \"$shown\" lies more than $limits->depth folders deep.",
            );
        }

        return Utf8::scrub(implode('/', $segments));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Running;

use InkedMargin\Core\Tests\Samples;

/** The zip of a class: a folder for each student, with a site of two pages that is like no other. */
final readonly class ClassZip
{
    /** @return string its path */
    public static function of(int $from, int $to): string
    {
        $files = [];
        foreach (range($from, $to) as $nth) {
            $files["class/stud$nth/index.html"] = Samples::page(
                "<p><a href=\"two.html\">Two</a> $nth</p><p><img src=\"a.png\"></p>",
            );
            $files["class/stud$nth/two.html"] = Samples::page("<p><a href=\"index.html\">Home</a> of $nth</p>");
            $files["class/stud$nth/a.png"] = "picture $nth";
        }

        return Samples::zip($files);
    }
}

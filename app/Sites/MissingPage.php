<?php

declare(strict_types=1);

namespace App\Sites;

use InkedMargin\Core\Site\PathSuggestions;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** What is shown where a link in a site leads to nothing: where it would have gone, and why nothing is there. */
final readonly class MissingPage
{
    private const LOOK = 'body{font:16px/1.5 Georgia,serif;margin:3rem auto;max-width:34rem;padding:0 1.5rem;'
        .'color:#2b2a26;background:#f4eddf}code{font-family:monospace;background:#fcfaf4;padding:0 .2em}'
        .'h1{font-size:1.4rem}button{font:inherit;padding:.2rem .8rem;margin-top:1rem}';

    /**
     * @param  string  $path  that was asked for
     * @param  list<string>  $paths  of the files that there are
     * @return string a page, as HTML
     */
    public static function html(string $path, array $paths): string
    {
        $name = $path === '' ? 'the first page' : '<code>'.e($path).'</code>';

        return self::page('This link leads to nothing', ["It would go to $name.", self::reason($path, $paths)]);
    }

    /** @param  string  $path  that a link named from the top of the host, without the slash */
    public static function outside(string $path): string
    {
        return self::page('This link leaves the site', [
            'It begins with <code>/</code>, or climbs with <code>../</code>, so it goes to <code>/'.e($path)
                .'</code> at the top of the host '
                .'and not in the site’s own folder.',
            'On a server the site is most often in a folder of its own, and nothing is there. Write the address from '
                .'the page’s own '
                .'folder, without <code>/</code> before it.',
        ]);
    }

    /** @param  list<string>  $paths */
    private static function reason(string $path, array $paths): string
    {
        $code = fn (string $one) => '<code>'.e($one).'</code>';
        foreach ($paths as $one) {
            if ($one !== $path && mb_strtolower($one) === mb_strtolower($path)) {
                return "There is {$code($one)}. On a web server, upper and lower case letters make different names.";
            }
        }
        $folder = rtrim($path, '/').'/';
        if ($path !== '' && array_filter($paths, fn (string $one) => str_starts_with($one, $folder)) !== []) {
            return "{$code(rtrim($path, '/'))} is a folder, and it has no {$code(Site::HOME)} that a server could "
                .'show.';
        }
        $site = new Site('', array_map(fn (string $one) => new SourceFile($one, ''), $paths));
        $meant = (new PathSuggestions($site))->for($path, Site::HOME)[0] ?? null;

        return 'There is no such file in this site.'.($meant === null ? '' : " Perhaps {$code($meant)} was meant.");
    }

    /** @param  list<string>  $paragraphs  as HTML */
    private static function page(string $title, array $paragraphs): string
    {
        $said = implode('', array_map(fn (string $one) => "<p>$one</p>", $paragraphs));

        return '<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><title>'.$title.'</title><style>'.self::LOOK
            ."</style></head><body><h1>$title</h1>$said<button type=\"button\">Back to the page</button></body></html>";
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Promises;

use InkedMargin\Core\Tests\Seed;

/** Ways to break a site: files deleted and renamed, tags dropped, links and words changed. */
final readonly class Breakage
{
    private const WAYS = [
        'deleteFile', 'renameFile', 'dropTag', 'dropElement', 'dropPart', 'breakLink', 'swapLink', 'dropAttribute',
        'changeWords', 'dropText', 'addTag', 'addStyle', 'changeRule', 'dropLine', 'emptyFile',
    ];

    private function __construct(private Seed $seed)
    {
    }

    /**
     * @param  array<string, string>  $files
     * @return array{string, array<string, string>} what was done, and the files after it
     */
    public static function of(array $files, Seed $seed): array
    {
        $breakage = new self($seed);
        $way = $seed->oneOf(self::WAYS);

        return [$way, $breakage->$way($files)];
    }

    /** @param  array<string, string>  $files */
    private function deleteFile(array $files): array
    {
        unset($files[$this->seed->oneOf(array_keys($files))]);

        return $files;
    }

    private function emptyFile(array $files): array
    {
        return [$this->seed->oneOf(array_keys($files)) => ''] + $files;
    }

    private function renameFile(array $files): array
    {
        $path = $this->seed->oneOf(array_keys($files));
        $name = basename($path);
        $renamed = $this->seed->oneOf([ucfirst($name), "$name.txt", "new $name", "x-$name"]);
        $folder = dirname($path) === '.' ? '' : dirname($path).'/';
        $bytes = $files[$path];
        unset($files[$path]);

        return $files + [$folder.$renamed => $bytes];
    }

    private function dropTag(array $files): array
    {
        return $this->without($files, '~</?[a-z]\w*[^>]*>~');
    }

    private function dropElement(array $files): array
    {
        return $this->without($files, '~<(h1|h2|p|td|img|li|a|title|link|table|nav|main)\b[^>]*>(?:.*?</\1>)?~s');
    }

    /** Both tags of a part, and not what is in it. */
    private function dropPart(array $files): array
    {
        $part = $this->seed->oneOf(['header', 'nav', 'main', 'footer', 'ul', 'h1']);

        return $this->onPage($files, fn (string $page) => preg_replace("~</?$part>~", '', $page));
    }

    private function breakLink(array $files): array
    {
        return $this->with($files, '~(href|src)="([^"]+)"~', fn (array $link) => $this->seed->oneOf([
            "$link[1]=\"x$link[2]\"", "$link[1]=\"../$link[2]\"", "$link[1]=\"#\"", "$link[1]=\"\"",
            $link[1].'="'.ucfirst($link[2]).'"', "herf=\"$link[2]\"",
        ]));
    }

    private function swapLink(array $files): array
    {
        preg_match_all('~href="([^"]+\.html)"~', implode('', $files), $all);

        return $this->with($files, '~href="[^"]+\.html"~', fn () => 'href="'.$this->seed->oneOf($all[1] ?: ['x']).'"');
    }

    private function dropAttribute(array $files): array
    {
        return $this->without($files, '~ \w+="[^"]*"~');
    }

    private function changeWords(array $files): array
    {
        return $this->with($files, '~>([^<>\n]+)</~', fn (array $text) => '>'.$this->seed->oneOf([
            'Other words', 'Untitled', strrev($text[1]), '©', 'Lorem ipsum',
        ]).'</');
    }

    private function dropText(array $files): array
    {
        return $this->with($files, '~>([^<>\n]+)</~', fn () => '></');
    }

    private function addTag(array $files): array
    {
        $tag = $this->seed->oneOf(['<font>', '</div>', '<h1>More</h1>', '<img src="none.png">', '<td>', '<br><br>']);

        return $this->with($files, '~</(p|main|td|h2)>~', fn (array $end) => "$end[0]$tag");
    }

    private function addStyle(array $files): array
    {
        return $this->with($files, '~<(p|td|h2|a)\b~', fn (array $tag) => "$tag[0] style=\"color: #eeeeee\"");
    }

    private function changeRule(array $files): array
    {
        $path = $this->seed->oneOf(['styles/base.css', 'styles/site.css']);
        $old = ['#222222', '#003366', 'padding', '{', ';', '#ffffff'];
        $new = ['#dddddd', '#eeeeff', 'paddding', '', '', '#333333'];

        return [$path => str_replace($this->seed->oneOf($old), $this->seed->oneOf($new), $files[$path] ?? '')] + $files;
    }

    private function dropLine(array $files): array
    {
        return $this->without($files, '~^.*\n~m');
    }

    private function without(array $files, string $pattern): array
    {
        return $this->with($files, $pattern, fn () => '');
    }

    /** One place that a pattern finds on one page, with something else in it. */
    private function with(array $files, string $pattern, \Closure $other): array
    {
        return $this->onPage($files, function (string $page) use ($pattern, $other): string {
            $count = preg_match_all($pattern, $page, $found, PREG_OFFSET_CAPTURE | PREG_SET_ORDER);
            if ($count === 0 || $count === false) {
                return $page;
            }
            $place = $this->seed->oneOf($found);
            $new = $other(array_column($place, 0));

            return substr_replace($page, $new, $place[0][1], strlen($place[0][0]));
        });
    }

    private function onPage(array $files, \Closure $change): array
    {
        $pages = array_values(array_filter(array_keys($files), fn (string $path) => str_ends_with($path, '.html')));
        if ($pages === []) {
            return $files;
        }
        $path = $this->seed->oneOf($pages);

        return [$path => $change($files[$path])] + $files;
    }
}

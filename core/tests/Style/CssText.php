<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Style;

use InkedMargin\Core\Style\Syntax\AtRuleNode;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\StyleSheet;
use InkedMargin\Core\Style\Syntax\SyntaxError;
use InkedMargin\Core\Style\Syntax\SyntaxRule;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Stylesheets for tests, and what was read of them in a short form. */
final class CssText
{
    /**
     * @param  list<Declaration|SyntaxRule>  $content
     * @return list<list<string|bool>> rules and declarations in order, each rule with an end
     */
    public static function listed(array $content): array
    {
        $listed = [];
        foreach ($content as $one) {
            if ($one instanceof Declaration) {
                $listed[] = ['decl', $one->name, self::bare($one->value()), $one->important];

                continue;
            }
            $prelude = self::bare($one->prelude());
            $listed[] = $one instanceof AtRuleNode ? ['at', $one->name(), $prelude] : ['rule', $prelude];
            array_push($listed, ...self::listed($one->content));
            $listed[] = ['end'];
        }

        return $listed;
    }

    /** @return list<string> each error with what it points at */
    public static function errors(StyleSheet $sheet): array
    {
        return array_map(fn (SyntaxError $error) => $error->kind->value.': '
            .substr($sheet->tokens->css, $error->span->start, $error->span->length()), $sheet->errors);
    }

    /** White space is one space, and none at the ends; comments are white space. */
    public static function bare(string $css): string
    {
        $css = preg_replace('~/\*.*?(?:\*/|$)~s', ' ', $css) ?? '';

        return trim(preg_replace('/\s+/', ' ', $css) ?? '');
    }

    /**
     * @return list<string> paths of stylesheets that others wrote: npm packages, Debian's manuals, the demo's students
     */
    public static function real(): array
    {
        $root = dirname(__DIR__, 3);
        $packages = '{milligram/dist,purecss/build,skeleton-css/css,water.css/out,tachyons/src,normalize.css}';

        return array_merge(
            glob("$root/node_modules/$packages/*.css", GLOB_BRACE) ?: [],
            glob('/usr/share/doc/{apache2-doc,debian-policy}/**/*.css', GLOB_BRACE) ?: [],
            glob("$root/demo/hand-ins/*/*/*/styles/*.css") ?: [],
        );
    }

    /**
     * Passages of real sheets, each broken in several places.
     *
     * @return list<string>
     */
    public static function mutations(int $seed, int $count): array
    {
        $bits = [
            '{', '}', '(', ')', '[', ']', ';', ':', '"', "'", '/*', '*/', '\\', '@media ', '@x ', '!important', 'url(',
            '#',
            '.', '--x:', 'a{', '}}', "\n", '<!--', '-->', 'é', 'calc(', ',', '& ', 'b:hover{', '\\41 ', '%', '-', '5px',
        ];
        $sheets = array_values(array_filter(
            array_map(fn (string $path) => (string) file_get_contents($path), self::real()),
            fn (string $css) => mb_check_encoding($css, 'UTF-8'),
        ));
        $chance = new Randomizer(new Mt19937($seed));
        $made = [];
        while (count($made) < $count) {
            $css = $sheets[$chance->getInt(0, count($sheets) - 1)];
            $css = substr($css, $chance->getInt(0, max(0, strlen($css) - 4000)), 4000);
            for ($change = $chance->getInt(1, 5); $change > 0; $change--) {
                $at = $chance->getInt(0, strlen($css));
                $css = match ($chance->getInt(0, 1)) {
                    0 => substr($css, 0, $at).$bits[$chance->getInt(0, count($bits) - 1)].substr($css, $at),
                    1 => substr($css, 0, $at).substr($css, min(strlen($css), $at + $chance->getInt(1, 9))),
                };
            }
            $made[] = mb_scrub($css, 'UTF-8');
        }

        return $made;
    }

    /**
     * What a script of Node makes of something, given and taken as JSON: a line of it for each.
     *
     * @param  list<mixed>  $given
     * @return list<mixed>
     */
    public static function node(string $script, array $given): array
    {
        $out = (string) tempnam(sys_get_temp_dir(), 'node');
        $process = proc_open(['node', $script], [['pipe', 'r'], ['file', $out, 'w'], STDERR], $pipes, dirname($script));
        fwrite($pipes[0], json_encode($given, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        proc_close($process);
        $lines = array_map(
            fn (string $line) => json_decode($line, true, flags: JSON_THROW_ON_ERROR),
            file($out, FILE_IGNORE_NEW_LINES) ?: [],
        );
        unlink($out);

        return $lines;
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Names;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\TextMap;

/**
 * A file or folder name with capitals, spaces or other characters that addresses have trouble with. Common practice.
 */
final readonly class Name extends Rule
{
    private const MAX_RELATED = 12;

    /** Names that tools and conventions prescribe, with capitals. */
    private const PRESCRIBED = '/^(?:README|LICEN[CS]E|CHANGELOG|CONTRIBUTING|NOTICE|AUTHORS|CNAME|Makefile|Dockerfile|Gemfile|Thumbs\.db|CREDITS|COPYING|INSTALL|TODO)(?:\.[A-Za-z]+)?$|^\.|^(?:Gruntfile|Gulpfile)\.js$/';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/name',
            'Unsafe file name',
            Weight::Departure,
            ProofMark::Change,
            'A file or folder name has capitals, spaces or other characters that cause trouble in addresses.',
            'Capitals and spaces are easy to get wrong in a link. On most servers `Tides.html` and '
                .'`tides.html` are two different files.',
            Citation::rfc(3986, '2.3', 'Unreserved Characters'),
            ['file/double-extension'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        /** @var TextMap<true> $seen */
        $seen = new TextMap;
        foreach ($exam->site->files->ownFiles() as $file) {
            if (Site::isVendored($file->path)) {
                continue;
            }
            $segments = explode('/', $file->path);
            foreach ($segments as $depth => $segment) {
                $named = implode('/', array_slice($segments, 0, $depth + 1));
                $isRight = preg_match('/^[a-z0-9._-]+$/D', $segment) === 1
                    || preg_match(self::PRESCRIBED, $segment) === 1;
                if ($seen->has($named) || $isRight || $exam->brief->asksFor('path', $segment)) {
                    continue;
                }
                $seen->put($named, true);
                $what = $depth === count($segments) - 1 ? 'file' : 'folder';
                yield self::draft($file, $what, $named, $segment, $exam->site);
            }
        }
    }

    /** @param  string  $named  the path up to the name that is told */
    private static function draft(SourceFile $file, string $what, string $named, string $name, ParsedSite $site): Draft
    {
        $exact = $site->referencesTo($file->path);
        $lower = mb_strtolower($file->path) === $file->path ? [] : $site->referencesTo(mb_strtolower($file->path));
        $better = self::better($name);
        $isBroken = $lower !== [] && $better === mb_strtolower($name);
        $draft = Draft::aboutFile($file->path, $file, "$what:$named")
            ->related(...Related::links([...$lower, ...$exact], 'this link leads to it', self::MAX_RELATED))
            ->about(Subject::file(mb_strtolower($file->path)));
        if (! $isBroken) {
            return $draft
                ->says("The $what name `$name` has ".self::trouble($name)
                    .', which may work on your computer and fail on a server.')
                ->remedy("Rename it to `$better`, and change the links to it.");
        }
        $links = English::count(count($lower), 'link');

        return $draft
            ->weight(Weight::Fault)
            ->says("The $what is named `$name`, but $links to it ".(count($lower) === 1 ? 'says' : 'say')." `$better`: "
                .(count($lower) === 1 ? 'it works' : 'they work').' on your computer and '
                .(count($lower) === 1 ? 'fails' : 'fail').' on a server.')
            ->remedy("Rename it to `$better`".($exact === [] ? '.' : ', and change the links that have capitals.'));
    }

    private static function trouble(string $name): string
    {
        $trouble = array_values(array_filter([
            preg_match('/\p{Lu}/u', $name) === 1 ? 'capitals' : null,
            str_contains($name, ' ') ? 'a space' : null,
            preg_match('/[^\p{L}0-9._ -]/u', $name) === 1 ? 'special characters' : null,
            preg_match('/[^\x00-\x7f]/', $name) === 1 ? 'letters beyond a to z' : null,
        ]));

        return $trouble === [] ? 'characters that are better avoided' : English::list($trouble);
    }

    private static function better(string $name): string
    {
        $plain = preg_replace('/[^a-z0-9._-]+/', '-', mb_strtolower($name)) ?? '';

        return trim(str_replace('-.', '.', $plain), '-') ?: 'a name in plain small letters';
    }
}

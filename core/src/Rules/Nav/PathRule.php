<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Pattern\PatternKind;

/** A rule about pages from which readers cannot go on. */
abstract readonly class PathRule extends Rule
{
    /** @var list<string> rules that explain why */
    protected const EXPLAINED_BY = [
        'link/missing-file', 'link/letter-case', 'link/wrong-folder', 'link/outside-site', 'link/local-path',
        'link/empty', 'link/bad-address', 'link/bad-scheme',
        'link/missing-scheme', 'link/folder-without-index', 'link/label-mismatch', 'nav/missing-menu',
        'nav/unreachable-page', 'nav/pattern',
        'nav/menu-differs', 'file/name', 'file/missing', 'markup/misnested', 'markup/parse-error',
    ];

    /** The endings of a branching story lead nowhere, and nobody has to come back from them. */
    final protected static function isStory(Examination $exam): bool
    {
        foreach ($exam->expectations()->patterns as [$match]) {
            if ($match->kind === PatternKind::Branching) {
                return true;
            }
        }

        return false;
    }

    final protected function pathFinding(string $path, ParsedSite $site, string $message, string $remedy): Draft
    {
        $page = $site->pages[$path];
        $causes = [Subject::page($path)];
        foreach ($site->fact(LinkMap::class)->linksOn($path) as $link) {
            $causes[] = Subject::place($path, $link->reference->span->start);
        }

        return Draft::onPage($page, $page->bodyPlace(), 'path')
            ->says($message)
            ->remedy($remedy)
            ->causedBy(...$causes);
    }
}

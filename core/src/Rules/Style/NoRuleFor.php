<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Styles\MarkupNames;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\Scripts;
use InkedMargin\Core\Site\Styles\UnusedNames;

/** A class or id in the markup that no stylesheet, link, label or script speaks of. Common practice. */
final readonly class NoRuleFor extends Rule implements ComparesFiles
{
    private const MAX_RELATED = 6;

    private const MAX_IDS = 10;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/no-rule-for',
            'Unused class or id',
            Weight::Tidy,
            ProofMark::Look,
            'A class or id that nothing uses.',
            'Nothing uses this name. Often its rule was forgotten, or the name is spelt differently '
                .'in the stylesheet.',
            Citation::practice(),
            [
                'style/near-miss', 'style/element-name-as-class', 'markup/duplicate-id',
                'markup/bad-attribute-value', 'link/missing-fragment', 'link/missing-file',
                'link/letter-case', 'link/wrong-folder', 'link/outside-site', 'link/local-path',
                'style/missing-rel', 'style/not-on-page', 'style/none', 'file/missing',
            ],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $site = $exam->site;
        $reach = $site->fact(RuleReach::class);
        if ($reach->rules === [] || Scripts::areOn($site) || self::hasOutsideSheet($site)) {
            return;
        }
        $wanted = implode("\n", array_map(fn ($one) => $one->sentence(), $exam->brief->requirements));
        $names = $site->fact(MarkupNames::class);
        $unused = $site->fact(UnusedNames::class)->names;
        $ids = count(array_filter($unused, fn (string $name) => $name[0] === '#'));
        foreach ($unused as $name) {
            $places = $names->placesOf($name);
            [$page, $element] = $places[0];
            $value = substr($name, 1);
            // Where there are many, they are places for others to link to.
            if ($name[0] === '#' && $ids > self::MAX_IDS) {
                continue;
            }
            $isPart = PartKind::of($element) !== null
                && $name === "#$value"
                && in_array(strtolower($value), array_column(PartKind::cases(), 'value'), true);
            if ($isPart || str_contains($wanted, $value) || ! $element->isWritten()) {
                continue;
            }
            $attribute = $name[0] === '#' ? 'id' : 'class';
            yield Draft::at($page, $element)
                ->variant($attribute)
                ->span($element->attribute($attribute)?->span())
                ->anchored("@$attribute:$value")
                ->says("No stylesheet has a rule for `$attribute=\"$value\"`.")
                ->remedy("Write a rule for `$name`, or remove the $attribute.")
                ->related(...array_map(
                    fn (array $place) => new Related($place[0]->file, $place[1]->place(), 'here too'),
                    array_slice($places, 1, self::MAX_RELATED),
                ))
                ->about("name:$name")
                ->causedBy(...self::brokenSheets($page));
        }
    }

    private static function hasOutsideSheet(ParsedSite $site): bool
    {
        foreach ($site->pages as $page) {
            foreach ($page->stylesheets() as $reference) {
                if ($reference->target->address !== null) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<string> places of links to sheets that are not there: their rules are not known */
    private static function brokenSheets(Page $page): array
    {
        $causes = [];
        foreach ($page->stylesheets() as $reference) {
            if ($reference->target->found === null) {
                $causes[] = \InkedMargin\Core\Finding\Subject::place($page->path(), $reference->span->start);
            }
        }

        return $causes;
    }
}

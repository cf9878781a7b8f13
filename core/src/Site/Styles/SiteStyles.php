<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\PageStyle;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\Sheet;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Source\Allowance;
use InkedMargin\Core\Source\CheckLimits;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Style\Cascade\Cascade;
use InkedMargin\Core\Style\Cascade\ComputedStyle;
use InkedMargin\Core\Style\Cascade\Computing;
use InkedMargin\Core\Style\Cascade\Decisions;
use InkedMargin\Core\Style\Cascade\MediaQuery;
use InkedMargin\Core\Style\Cascade\RuleReader;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Selector\PseudoClass;
use InkedMargin\Core\Style\Syntax\AtRuleNode;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\StyleSheet;

/**
 * Which rules count for each page: those of the sheets that it links, of what they import, and of its own, in order.
 */
final class SiteStyles implements SiteFact
{
    /** Sheets that import each other further than this are left. */
    private const DEEPEST = 10;

    /** @var array<string, list<StyleRule>> by sheet, the layer it is in, and whether it applies */
    private array $read = [];

    /** @var array<string, list<StyleRule>|OverLimit> by page */
    private array $rules = [];

    /** @var array<string, list<StyleRule>> by what is loaded */
    private array $lists = [];

    /** @var array<string, list<ImportedSheet>> by the path of the sheet that imports them */
    private array $imports = [];

    /** How many more sheets the page may load that is being looked at. */
    private Allowance $loading;

    /** How many more rules, likewise. */
    private Allowance $rulesToLoad;

    /** @var array<string, string> by page */
    private array $keys = [];

    /** @var array<string, Decisions> by the rules */
    private array $decisions = [];

    /** @var array<string, Decisions> by the state of links and the rules */
    private array $stated = [];

    /** @var array<string, list<LinkState>> by the rules */
    private array $linkStates = [];

    /** @var array<string, Cascade> by page */
    private array $cascades = [];

    /** @var array<string, array<int, ComputedStyle>> by page, then by the object id of the element */
    private array $computed = [];

    /**
     * Only the sheets, and not the site that holds this: what points to itself stays in memory.
     *
     * @param  array<string, Sheet>  $sheets  by path
     */
    private function __construct(private readonly array $sheets)
    {
    }

    public static function of(ParsedSite $site): static
    {
        return new self($site->sheets);
    }

    /**
     * @return list<StyleRule> also of sheets for other media, which do not apply
     *
     * @throws OverLimit
     */
    public function rulesOf(Page $page): array
    {
        $rules = $this->rules[$page->path()] ??= $this->loadedBy($page);
        if ($rules instanceof OverLimit) {
            throw $rules;
        }

        return $rules;
    }

    /** @return list<StyleRule>|OverLimit pages that load the same share one list */
    private function loadedBy(Page $page): array|OverLimit
    {
        $this->loading = new Allowance(
            CheckLimits::LOADED_SHEETS,
            "`{$page->path()}` loads more than ".CheckLimits::LOADED_SHEETS.' stylesheets, counted as often as they '
                .'are imported.',
        );
        $this->rulesToLoad = new Allowance(
            CheckLimits::STYLES,
            "`{$page->path()}` loads more than ".number_format(CheckLimits::STYLES).' style rules.',
        );
        try {
            $loaded = $this->loadsOf($page);
        } catch (OverLimit $error) {
            return $error;
        }
        $key = md5(implode("\0", array_map(fn (LoadedRules $one) => $one->key, $loaded)));
        $this->keys[$page->path()] = ($page->matching->isQuirky ? 'quirky ' : '').$key;

        return $this->lists[$key] ??= array_merge(...array_map(fn (LoadedRules $one) => $one->rules, $loaded));
    }

    /** @return list<LoadedRules> in order */
    private function loadsOf(Page $page): array
    {
        $lists = [];
        $links = $this->sheetLinks($page);
        foreach ($page->elements as $element) {
            $id = spl_object_id($element);
            if (isset($links[$id])) {
                $applies = MediaQuery::holds($element->value('media') ?? '');
                $lists[] = $this->rulesOfSheet($links[$id], '', $applies, []);
            } elseif ($element->name === 'style') {
                $applies = MediaQuery::holds($element->value('media') ?? '');
                foreach ($page->styles as $style) {
                    if ($style->element === $element && $style->attribute === null) {
                        $lists[] = $this->rulesOfElement($page, $style, $applies);
                    }
                }
            }
        }

        return array_merge(...$lists);
    }

    public function cascadeOf(Page $page): Cascade
    {
        return $this->cascades[$page->path()] ??= new Cascade(
            $page->document,
            $page->document->elements(),
            $this->decisionsOn($page),
            self::inlineOf($page),
            $page->matching,
        );
    }

    /** @return list<LinkState> those that the rules of a page speak of */
    public function linkStatesOf(Page $page): array
    {
        return $this->linkStates[$this->keyOf($page)] ??= $this->findLinkStates($page);
    }

    /** @return list<LinkState> */
    private function findLinkStates(Page $page): array
    {
        $selectors = [];
        foreach ($this->rulesOf($page) as $rule) {
            foreach ($rule->applies ? $rule->selector->alternatives ?? [] : [] as $selector) {
                $selectors[] = $selector->written;
            }
        }
        $all = implode(' ', $selectors);

        return array_values(array_filter(LinkState::cases(), fn (LinkState $state) => $state->isSpokenOfIn($all)));
    }

    /**
     * The links of a page as they look in a state, each as if it were in it alone: with what is in them and around
     * them.
     */
    public function linksIn(Page $page, LinkState $state): StateLooks
    {
        $wanted = [];
        foreach ($page->named('a') as $link) {
            $around = PseudoClass::isLink($link) ? $link : null;
            while ($around instanceof Element) {
                $wanted[spl_object_id($around)] = $around === $link;
                $around = $around->parent;
            }
        }
        $elements = [];
        foreach ($page->document->elements() as $element) {
            $id = spl_object_id($element);
            // What is inside of a link changes with it.
            if ($element->parent !== null && ($wanted[spl_object_id($element->parent)] ?? false)) {
                $wanted[$id] = true;
            }
            if (isset($wanted[$id])) {
                $elements[] = $element;
            }
        }
        // Apart from what wins before anybody touches the page: that is reported separately.
        $decisions = $this->stated[$state->value.' '.$this->keyOf($page)]
            ??= $this->decisionsOn($page)->forOtherStates();
        $matching = $page->matching->in($state->pseudoClasses());
        $cascade = new Cascade($page->document, $elements, $decisions, self::inlineOf($page), $matching);

        return new StateLooks($elements, $cascade, Computing::of($elements, $cascade));
    }

    /** @return array<int, list<Declaration>> of `style` attributes, by the object id of the element */
    private static function inlineOf(Page $page): array
    {
        $inline = [];
        foreach ($page->styles as $style) {
            if ($style->attribute !== null) {
                $inline[spl_object_id($style->element)] = [...$style->css->declarations()];
            }
        }

        return $inline;
    }

    /** What wins among the rules of a page: pages with the same rules share it. */
    public function decisionsOn(Page $page): Decisions
    {
        return $this->decisions[$this->keyOf($page)] ??= Decisions::of(
            $this->rulesOf($page),
            $page->matching->isQuirky,
        );
    }

    /** The same for pages in the same mode with the same rules. */
    public function keyOf(Page $page): string
    {
        $this->rulesOf($page);

        return $this->keys[$page->path()];
    }

    /** @return array<int, ComputedStyle> what each element looks like when nobody touches it, by its object id */
    public function computedOf(Page $page): array
    {
        return $this->computed[$page->path()] ??= Computing::of(
            $page->document->elements(),
            $this->cascadeOf($page),
        );
    }

    /** @return array<int, Sheet> the sheets that a page links and that are there, by the object id of their `link` */
    private function sheetLinks(Page $page): array
    {
        $links = [];
        foreach ($page->stylesheets() as $reference) {
            $sheet = $this->sheets[$reference->target->found ?? ''] ?? null;
            $element = $reference->element;
            $isOn = $element !== null && $element->attribute('disabled') === null
                && ! in_array('alternate', preg_split('/\s+/', strtolower($element->value('rel') ?? '')) ?: [], true);
            if ($sheet !== null && $element !== null && $isOn) {
                $links[spl_object_id($element)] = $sheet;
            }
        }

        return $links;
    }

    /**
     * @param  list<string>  $inside  the sheets that import this one
     * @return list<LoadedRules>
     */
    private function rulesOfSheet(Sheet $sheet, string $layer, bool $applies, array $inside): array
    {
        $this->loading->take(1);
        if (count($inside) >= self::DEEPEST || in_array($sheet->path(), $inside, true)) {
            return [];
        }
        $imports = $this->imports[$sheet->path()] ??= $this->importsIn($sheet->css, $sheet->references);
        $rules = $this->rulesIn($sheet, $layer, $applies);
        $this->rulesToLoad->take(count($rules));

        return [
            ...$this->imported($imports, $layer, $applies, [...$inside, $sheet->path()]),
            new LoadedRules(self::loadKey($sheet, $layer, $applies), $rules),
        ];
    }

    private static function loadKey(Sheet $sheet, string $layer, bool $applies): string
    {
        return "{$sheet->path()}\0$layer\0".($applies ? '1' : '0');
    }

    /** @return list<StyleRule> what a sheet itself holds */
    public function rulesIn(Sheet $sheet, string $layer = '', bool $applies = true): array
    {
        return $this->read[self::loadKey($sheet, $layer, $applies)] ??= RuleReader::read(
            $sheet->css,
            $sheet->path(),
            $layer,
            $applies,
        );
    }

    /** @return list<LoadedRules> */
    private function rulesOfElement(Page $page, PageStyle $style, bool $applies): array
    {
        $rules = RuleReader::read($style->css, $page->path(), '', $applies);
        $this->rulesToLoad->take(count($rules));

        return [
            ...$this->imported($this->importsIn($style->css, $page->references), '', $applies, []),
            new LoadedRules("{$page->path()} {$style->element->place()->start}", $rules),
        ];
    }

    /**
     * @param  list<Reference>  $references  of the sheet or page, in order
     * @return list<ImportedSheet> those that are there
     */
    private function importsIn(StyleSheet $css, array $references): array
    {
        $imports = [];
        $at = 0;
        $references = array_values(array_filter(
            $references,
            fn (Reference $one) => $one->kind === ReferenceKind::Stylesheet,
        ));
        usort($references, fn (Reference $a, Reference $b) => $a->span->start <=> $b->span->start);
        foreach ($css->rules() as $rule) {
            if (! $rule instanceof AtRuleNode || $rule->name() !== 'import') {
                continue;
            }
            $span = $rule->span();
            while (isset($references[$at]) && $references[$at]->span->start < $span->start) {
                $at++;
            }
            for (; isset($references[$at]) && $references[$at]->span->end <= $span->end; $at++) {
                $sheet = $this->sheets[$references[$at]->target->found ?? ''] ?? null;
                if ($sheet !== null) {
                    $imports[] = new ImportedSheet($sheet, self::conditionsOf($rule));
                    break;
                }
            }
        }

        return $imports;
    }

    /**
     * @param  list<ImportedSheet>  $imports
     * @param  list<string>  $inside  the sheets that import these
     * @return list<LoadedRules>
     */
    private function imported(array $imports, string $layer, bool $applies, array $inside): array
    {
        $loaded = [];
        foreach ($imports as $import) {
            $own = $import->conditions->layer;
            array_push($loaded, ...$this->rulesOfSheet(
                $import->sheet,
                $own === null ? $layer : ltrim("$layer.$own", '.'),
                $applies && MediaQuery::holds($import->conditions->media),
                $inside,
            ));
        }

        return $loaded;
    }

    private static function conditionsOf(AtRuleNode $rule): ImportConditions
    {
        $written = preg_replace('~^(?:url\([^)]*\)|"[^"]*"|\'[^\']*\')\s*~i', '', trim($rule->prelude())) ?? '';
        $layer = null;
        if (preg_match('/^layer(?:\(\s*([^)]*)\s*\))?\s*/i', $written, $parts) === 1) {
            $layer = ($parts[1] ?? '') === '' ? '#'.$rule->span()->start : $parts[1];
            $written = substr($written, strlen($parts[0]));
        }
        $written = preg_replace('/^supports\([^)]*(?:\([^)]*\)[^)]*)*\)\s*/i', '', $written) ?? '';

        return new ImportConditions($layer, $written);
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Source\TextGroups;

/**
 * Pictures, and alt texts of pictures, that belong to another page, where nearly every page has its own. Banners, logos
 * and arrows are on several pages on purpose. Common practice.
 */
final readonly class ContentPictures implements SiteFact
{
    private const DECORATION = '/logo|banner|arrow|icon|button|back|next|prev|home|bullet|divider|background|spacer|rule|line|header|footer/i';

    /** Alt texts that fit any picture, and so belong to none. */
    private const GENERAL = '/^\s*(?:(?:an?|the|my|our|small|large|raised|round(?:ed)?|circle|thumbnail|profile|sample|stock)\s+)*(?:image|picture|photo|thumbnail|icon|logo|avatar|graphic)s?(?:\s*\d+)?\s*$/i';

    /** @param  list<Leftover>  $leftovers */
    private function __construct(public array $leftovers)
    {
    }

    public static function of(ParsedSite $site): self
    {
        $pages = array_values($site->pages);
        $paths = array_map(fn (Page $page) => $page->path(), $pages);
        $content = array_combine($paths, array_map(self::content(...), $pages));
        // Where few pages show pictures, two that show the same say nothing.
        if (3 * count(array_filter($content)) < count($pages) || count($pages) < 3) {
            return new self([]);
        }
        $found = $taken = [];
        foreach (SharedPictures::among($site, $pages, fn (Page $page) => $content[$page->path()]) as $copy) {
            $picture = $copy->reference->element;
            if ($picture !== null && ! self::hasAnother($copy, $content[$copy->page->path()])) {
                $taken[$copy->page->path()] = true;
                $found[] = new Leftover(
                    LeftoverKind::Picture,
                    $copy->page,
                    $copy->owner,
                    $picture,
                    $copy->reference->span,
                    $copy->original->span,
                    $copy->picture,
                );
            }
        }

        return new self(array_values([...$found, ...self::altTexts($site, $content, $taken)]));
    }

    /**
     * @param  array<string, list<Element>>  $content  the pictures of each page
     * @param  array<string, true>  $taken  pages whose picture is left over itself
     * @return iterable<Leftover>
     */
    private static function altTexts(ParsedSite $site, array $content, array $taken): iterable
    {
        foreach (self::byAlt($site, $content) as $same) {
            $words = (string) $same[0][1]->value('alt');
            $isOneFile = count($same) === 2 && self::fileName($same[0][1]) === self::fileName($same[1][1]);
            if (count($same) !== 2 || $isOneFile || preg_match(self::GENERAL, $words) === 1) {
                continue;
            }
            $owner = $site->fact(CopyOwners::class)->owner(
                $words.' '.pathinfo(self::fileName($same[0][1]), PATHINFO_FILENAME),
                array_column($same, 0),
            );
            [[$page, $image], [, $original]] = $owner === $same[0][0] ? array_reverse($same) : $same;
            // The picture whose name has nothing of the words is the one whose alt text was not changed.
            $name = Label::plain(pathinfo(self::fileName($image), PATHINFO_FILENAME));
            if (isset($taken[$page->path()]) || Label::shareWord($name, Label::plain($words))) {
                continue;
            }
            yield new Leftover(
                LeftoverKind::AltText,
                $page,
                $owner,
                $image,
                $image->attribute('alt')?->span() ?? $image->place(),
                $original->place(),
                $words,
            );
        }
    }

    /**
     * @param  array<string, list<Element>>  $content
     * @return TextGroups<array{Page, Element}> by alt text, one for each page
     */
    private static function byAlt(ParsedSite $site, array $content): TextGroups
    {
        /** @var TextGroups<array{Page, Element}> $byAlt */
        $byAlt = new TextGroups;
        foreach ($site->pages as $page) {
            foreach ($content[$page->path()] ?? [] as $image) {
                $alt = Label::plain($image->value('alt') ?? '');
                if ($alt !== '') {
                    $byAlt->addOnce($alt, $page, [$page, $image]);
                }
            }
        }

        return $byAlt;
    }

    private static function fileName(Element $image): string
    {
        return basename((string) $image->value('src'));
    }

    /** @return list<Element> the pictures that are about what the page is about */
    private static function content(Page $page): array
    {
        $isContent = fn (Element $image) => ! in_array($page->outline->partOf($image), PartKind::AROUND, true)
            && preg_match(self::DECORATION, basename($image->value('src') ?? '')) !== 1
                && $image->parent?->name !== 'a';

        return array_values(array_filter($page->named('img'), $isContent));
    }

    /**
     * A page with a picture of its own may show another one again.
     *
     * @param  list<Element>  $pictures  those of its content
     */
    private static function hasAnother(PictureCopy $copy, array $pictures): bool
    {
        $content = array_fill_keys(array_map(spl_object_id(...), $pictures), true);
        foreach ($copy->page->references as $reference) {
            $isOther = $reference->kind === ReferenceKind::Picture
                && $reference->target->found !== null
                && $reference->target->found !== $copy->picture;
            if ($isOther && $reference->element !== null && isset($content[spl_object_id($reference->element)])) {
                return true;
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Pictures;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Consistency\PictureCopy;
use InkedMargin\Core\Site\Consistency\SharedPictures;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ReferenceKind;

/**
 * A picture, or the alt text of one, that belongs to another page, where nearly every page has its own. Banners, logos
 * and arrows are on several pages on purpose. Common practice.
 */
final readonly class SamePicture extends Rule
{
    private const DECORATION = '/logo|banner|arrow|icon|button|back|next|prev|home|bullet|divider|background|spacer|rule|line|header|footer/i';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/same-picture',
            'Repeated picture',
            Weight::Departure,
            ProofMark::Change,
            'Two pages show the same picture, or the same alt text for different pictures.',
            'A picture should show what its page is about. The same one on another page, or the same '
                .'words for another picture, is often left over from copying.',
            Citation::practice(),
            ['link/missing-file', 'link/letter-case', 'link/wrong-folder'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $pages = array_values($exam->site->pages);
        $paths = array_map(fn (Page $page) => $page->path(), $pages);
        $content = array_combine($paths, array_map(self::content(...), $pages));
        // Where few pages show pictures, two that show the same say nothing.
        if (3 * count(array_filter($content)) < count($pages) || count($pages) < 3) {
            return;
        }
        $taken = [];
        foreach (SharedPictures::among($pages, fn (Page $page) => $content[$page->path()]) as $copy) {
            if ($copy->reference->element === null || self::isMeant($copy, $content[$copy->page->path()], $exam)) {
                continue;
            }
            $taken[$copy->page->path()] = true;
            yield self::draft($copy, $copy->reference->element);
        }
        yield from $this->altTexts($pages, $content, $taken);
    }

    /** @param  list<Element>  $content the pictures of the page */
    private static function isMeant(PictureCopy $copy, array $content, Examination $exam): bool
    {
        return $exam->brief->covering($copy->page->path(), Pictures::class) !== null
            || self::hasAnother($copy, $content);
    }

    private static function draft(PictureCopy $copy, Element $picture): Draft
    {
        return Draft::at($copy->page, $picture)
            ->variant('picture')
            ->span($copy->reference->span)
            ->says($copy->message())
            ->remedy(PictureCopy::REMEDY)
            ->related(new Related($copy->owner->file, $copy->original->span, 'the same picture'));
    }

    /**
     * @param  list<Page>  $pages
     * @param  array<string, list<Element>>  $content  the pictures of each page
     * @param  array<string, true>  $taken  pages whose picture has a finding of its own
     * @return iterable<Draft>
     */
    private function altTexts(array $pages, array $content, array $taken): iterable
    {
        $byAlt = [];
        foreach ($pages as $page) {
            foreach ($content[$page->path()] as $image) {
                $alt = Label::plain($image->value('alt') ?? '');
                if ($alt !== '') {
                    $byAlt["alt $alt"][$page->path()] ??= [$page, $image];
                }
            }
        }
        foreach ($byAlt as $same) {
            if (count($same) !== 2) {
                continue;
            }
            [$one, $other] = array_values($same);
            if (basename((string) $one[1]->value('src')) === basename((string) $other[1]->value('src'))) {
                continue;
            }
            $words = (string) $one[1]->value('alt');
            $owner = PageNames::owner(
                $words.' '.pathinfo((string) $one[1]->value('src'), PATHINFO_FILENAME),
                [$one[0], $other[0]],
            );
            // The picture whose name has nothing of the words is the one whose alt text was not changed.
            [$page, $image, $source] = $owner === $one[0] ? [$other[0], $other[1], $one] : [$one[0], $one[1], $other];
            if (isset($taken[$page->path()]) || Label::shareWord(
                Label::plain(pathinfo((string) $image->value('src'), PATHINFO_FILENAME)),
                Label::plain($words),
            )) {
                continue;
            }
            yield Draft::at($page, $image)
                ->variant('alt')
                ->span($image->attribute('alt')?->span())
                ->anchored('@alt')
                ->says(
                    "The alt text “{$words}” is also on a different picture on `{$source[0]->path()}`; it "
                        .'looks left over '
                        .'from a copied page.',
                )
                ->remedy('Write what this picture shows.')
                ->related(new Related($source[0]->file, $source[1]->place(), 'the same alt text'));
        }
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

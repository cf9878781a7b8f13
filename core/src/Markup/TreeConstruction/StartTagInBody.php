<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Mode;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\Parser\Tag;

/** The start tags of HTML Standard, 13.2.6.4.7, "in body", grouped as the standard groups them. */
final class StartTagInBody
{
    /** @var array<string, string> elements that are treated alike, by the group that they are in */
    private const GROUPS = [
        'a' => 'anchor',
        'b' => 'formatting', 'big' => 'formatting', 'code' => 'formatting', 'em' => 'formatting',
        'font' => 'formatting', 'i' => 'formatting', 's' => 'formatting', 'small' => 'formatting',
        'strike' => 'formatting', 'strong' => 'formatting', 'tt' => 'formatting', 'u' => 'formatting',
        'address' => 'block', 'article' => 'block', 'aside' => 'block', 'blockquote' => 'block', 'center' => 'block',
        'details' => 'block', 'dialog' => 'block', 'dir' => 'block', 'div' => 'block', 'dl' => 'block',
        'fieldset' => 'block', 'figcaption' => 'block', 'figure' => 'block', 'footer' => 'block', 'header' => 'block',
        'hgroup' => 'block', 'main' => 'block', 'menu' => 'block', 'nav' => 'block', 'ol' => 'block', 'p' => 'block',
        'search' => 'block', 'section' => 'block', 'summary' => 'block', 'ul' => 'block',
        'li' => 'listItem',
        'dd' => 'description', 'dt' => 'description',
        'h1' => 'heading', 'h2' => 'heading', 'h3' => 'heading', 'h4' => 'heading', 'h5' => 'heading',
        'h6' => 'heading',
        'area' => 'replaced', 'br' => 'replaced', 'embed' => 'replaced', 'img' => 'replaced', 'keygen' => 'replaced',
        'wbr' => 'replaced',
        'input' => 'input',
        'param' => 'nestedVoid', 'source' => 'nestedVoid', 'track' => 'nestedVoid',
        'hr' => 'rule',
        'image' => 'image',
        'html' => 'html',
        'base' => 'ofHead', 'basefont' => 'ofHead', 'bgsound' => 'ofHead', 'link' => 'ofHead', 'meta' => 'ofHead',
        'noframes' => 'ofHead', 'script' => 'ofHead', 'style' => 'ofHead', 'template' => 'ofHead',
        'title' => 'ofHead',
        'body' => 'body',
        'frameset' => 'frameset',
        'pre' => 'preformatted', 'listing' => 'preformatted',
        'form' => 'form',
        'plaintext' => 'plaintext',
        'button' => 'button',
        'nobr' => 'nobr',
        'applet' => 'marker', 'marquee' => 'marker', 'object' => 'marker',
        'table' => 'table',
        'textarea' => 'textarea',
        'xmp' => 'xmp',
        'iframe' => 'iframe',
        'noembed' => 'noembed',
        'select' => 'select',
        'optgroup' => 'option', 'option' => 'option',
        'rb' => 'rubyBase', 'rtc' => 'rubyBase',
        'rp' => 'rubyText', 'rt' => 'rubyText',
        'math' => 'math',
        'svg' => 'svg',
        'caption' => 'misplaced', 'col' => 'misplaced', 'colgroup' => 'misplaced', 'frame' => 'misplaced',
        'head' => 'misplaced', 'tbody' => 'misplaced', 'td' => 'misplaced', 'tfoot' => 'misplaced',
        'th' => 'misplaced', 'thead' => 'misplaced', 'tr' => 'misplaced',
    ];

    public static function open(Tree $tree, Tag $tag): void
    {
        match (self::GROUPS[$tag->name] ?? '') {
            'anchor' => self::anchor($tree, $tag),
            'formatting' => self::formatting($tree, $tag),
            'block' => self::block($tree, $tag),
            'listItem' => self::listItem($tree, $tag),
            'description' => self::description($tree, $tag),
            'heading' => self::heading($tree, $tag),
            'replaced' => self::replaced($tree, $tag),
            'input' => self::input($tree, $tag),
            'nestedVoid' => self::nestedVoid($tree, $tag),
            'rule' => self::rule($tree, $tag),
            'image' => self::image($tree, $tag),
            'html' => self::html($tree, $tag),
            'ofHead' => self::ofHead($tree, $tag),
            'body' => self::body($tree, $tag),
            'frameset' => self::frameset($tree, $tag),
            'preformatted' => self::preformatted($tree, $tag),
            'form' => self::form($tree, $tag),
            'plaintext' => self::plaintext($tree, $tag),
            'button' => self::button($tree, $tag),
            'nobr' => self::nobr($tree, $tag),
            'marker' => self::marker($tree, $tag),
            'table' => self::table($tree, $tag),
            'textarea' => self::textarea($tree, $tag),
            'xmp' => self::xmp($tree, $tag),
            'iframe' => self::iframe($tree, $tag),
            'noembed' => self::noembed($tree, $tag),
            'select' => self::select($tree, $tag),
            'option' => self::option($tree, $tag),
            'rubyBase' => self::rubyBase($tree, $tag),
            'rubyText' => self::rubyText($tree, $tag),
            'math' => self::math($tree, $tag),
            'svg' => self::svg($tree, $tag),
            'misplaced' => self::misplaced($tree, $tag),
            default => self::ordinary($tree, $tag),
        };
    }

    private static function anchor(Tree $tree, Tag $tag): void
    {
        $active = $tree->formatting->last('a');
        if ($active !== null) {
            $tree->errors->add('nested-a-element', $tag->start);
            AdoptionAgency::run($tree, $tag, 'a');
            $tree->formatting->remove($active);
            $tree->open->remove($active, $tag->start);
        }
        $tree->reconstructFormatting();
        $tree->formatting->push($tree->insertElement($tag));
    }

    private static function formatting(Tree $tree, Tag $tag): void
    {
        $tree->reconstructFormatting();
        $tree->formatting->push($tree->insertElement($tag));
    }

    private static function block(Tree $tree, Tag $tag): void
    {
        $tree->closePInButtonScope();
        $tree->insertElement($tag);
    }

    private static function listItem(Tree $tree, Tag $tag): void
    {
        self::startListItem($tree, $tag, ['li']);
    }

    private static function description(Tree $tree, Tag $tag): void
    {
        self::startListItem($tree, $tag, ['dd', 'dt']);
    }

    private static function heading(Tree $tree, Tag $tag): void
    {
        $tree->closePInButtonScope();
        if (Category::isHeading($tree->open->current)) {
            $tree->errors->add('nested-heading', $tag->start);
            $tree->open->pop($tag->start);
        }
        $tree->insertElement($tag);
    }

    private static function replaced(Tree $tree, Tag $tag): void
    {
        $tree->reconstructFormatting();
        $tree->insertVoid($tag);
        $tree->framesetOk = false;
    }

    private static function input(Tree $tree, Tag $tag): void
    {
        $tree->reconstructFormatting();
        $tree->insertVoid($tag);
        if (strtolower($tag->value('type')) !== 'hidden') {
            $tree->framesetOk = false;
        }
    }

    private static function nestedVoid(Tree $tree, Tag $tag): void
    {
        $tree->insertVoid($tag);
    }

    private static function rule(Tree $tree, Tag $tag): void
    {
        $tree->closePInButtonScope();
        $tree->insertVoid($tag);
        $tree->framesetOk = false;
    }

    private static function image(Tree $tree, Tag $tag): void
    {
        $tree->errors->add('image-start-tag', $tag->start);
        $tag->name = 'img';
        self::open($tree, $tag);
    }

    private static function html(Tree $tree, Tag $tag): void
    {
        $tree->errors->add('misplaced-html-start-tag', $tag->start);
        if (! $tree->open->holds('template')) {
            $tree->addAttributes($tree->open->at(0), $tag);
        }
    }

    private static function ofHead(Tree $tree, Tag $tag): void
    {
        $tree->modes->inHead->startTag($tree, $tag);
    }

    private static function body(Tree $tree, Tag $tag): void
    {
        $tree->errors->add('misplaced-body-start-tag', $tag->start);
        if ($tree->open->height() > 1 && $tree->open->at(1)->is('body') && ! $tree->open->holds('template')) {
            $tree->framesetOk = false;
            $tree->addAttributes($tree->open->at(1), $tag);
        }
    }

    private static function frameset(Tree $tree, Tag $tag): void
    {
        $tree->errors->add('misplaced-frameset-start-tag', $tag->start);
        if ($tree->framesetOk && $tree->open->height() > 1 && $tree->open->at(1)->is('body')) {
            $tree->detach($tree->open->at(1));
            while ($tree->open->height() > 1) {
                $tree->open->pop($tag->start);
            }
            $tree->insertElement($tag);
            $tree->mode = $tree->modes->inFrameset;
        }
    }

    private static function preformatted(Tree $tree, Tag $tag): void
    {
        $tree->closePInButtonScope();
        $tree->insertElement($tag);
        $tree->skipNewline = true;
        $tree->framesetOk = false;
    }

    private static function form(Tree $tree, Tag $tag): void
    {
        $inTemplate = $tree->open->holds('template');
        if ($tree->form !== null && ! $inTemplate) {
            $tree->errors->add('nested-form', $tag->start);

            return;
        }
        $tree->closePInButtonScope();
        $form = $tree->insertElement($tag);
        if (! $inTemplate) {
            $tree->form = $form;
        }
    }

    private static function plaintext(Tree $tree, Tag $tag): void
    {
        $tree->closePInButtonScope();
        $tree->insertElement($tag);
        $tree->tokenizer->switchToPlaintext();
    }

    private static function button(Tree $tree, Tag $tag): void
    {
        if ($tree->open->hasInScope('button')) {
            $tree->errors->add('nested-button', $tag->start);
            $tree->open->generateImpliedEndTags($tag->start);
            $tree->open->popUntil($tag->start, Closing::Other, 'button');
        }
        $tree->reconstructFormatting();
        $tree->insertElement($tag);
        $tree->framesetOk = false;
    }

    private static function nobr(Tree $tree, Tag $tag): void
    {
        $tree->reconstructFormatting();
        if ($tree->open->hasInScope('nobr')) {
            $tree->errors->add('nested-nobr', $tag->start);
            AdoptionAgency::run($tree, $tag, 'nobr');
            $tree->reconstructFormatting();
        }
        $tree->formatting->push($tree->insertElement($tag));
    }

    private static function marker(Tree $tree, Tag $tag): void
    {
        $tree->reconstructFormatting();
        $tree->insertElement($tag);
        $tree->formatting->pushMarker();
        $tree->framesetOk = false;
    }

    private static function table(Tree $tree, Tag $tag): void
    {
        if ($tree->document->mode !== Mode::Quirks) {
            $tree->closePInButtonScope();
        }
        $tree->insertElement($tag);
        $tree->framesetOk = false;
        $tree->mode = $tree->modes->inTable;
    }

    private static function textarea(Tree $tree, Tag $tag): void
    {
        $tree->insertElement($tag);
        $tree->skipNewline = true;
        $tree->tokenizer->switchToRcdata();
        $tree->framesetOk = false;
        $tree->toText();
    }

    private static function xmp(Tree $tree, Tag $tag): void
    {
        $tree->closePInButtonScope();
        $tree->reconstructFormatting();
        $tree->framesetOk = false;
        $tree->rawText($tag);
    }

    private static function iframe(Tree $tree, Tag $tag): void
    {
        $tree->framesetOk = false;
        $tree->rawText($tag);
    }

    private static function noembed(Tree $tree, Tag $tag): void
    {
        $tree->rawText($tag);
    }

    private static function select(Tree $tree, Tag $tag): void
    {
        $tree->reconstructFormatting();
        $tree->insertElement($tag);
        $tree->framesetOk = false;
        $tree->mode = $tree->mode->isOfTable()
            ? $tree->modes->inSelectInTable
            : $tree->modes->inSelect;
    }

    private static function option(Tree $tree, Tag $tag): void
    {
        if ($tree->open->current?->is('option') === true) {
            $tree->open->pop($tag->start);
        }
        $tree->reconstructFormatting();
        $tree->insertElement($tag);
    }

    private static function rubyBase(Tree $tree, Tag $tag): void
    {
        if ($tree->open->hasInScope('ruby')) {
            $tree->open->generateImpliedEndTags($tag->start);
            $tree->reportUnlessCurrentIs(['ruby'], $tag);
        }
        $tree->insertElement($tag);
    }

    private static function rubyText(Tree $tree, Tag $tag): void
    {
        if ($tree->open->hasInScope('ruby')) {
            $tree->open->generateImpliedEndTags($tag->start, 'rtc');
            $tree->reportUnlessCurrentIs(['ruby', 'rtc'], $tag);
        }
        $tree->insertElement($tag);
    }

    private static function math(Tree $tree, Tag $tag): void
    {
        $tree->reconstructFormatting();
        $tree->insertForeign($tag, NodeNamespace::MathMl);
    }

    private static function svg(Tree $tree, Tag $tag): void
    {
        $tree->reconstructFormatting();
        $tree->insertForeign($tag, NodeNamespace::Svg);
    }

    private static function misplaced(Tree $tree, Tag $tag): void
    {
        $tree->errors->add('misplaced-start-tag', $tag->start);
    }

    private static function ordinary(Tree $tree, Tag $tag): void
    {
        $tree->reconstructFormatting();
        $tree->insertElement($tag);
    }

    /** @param  list<string>  $names */
    private static function startListItem(Tree $tree, Tag $tag, array $names): void
    {
        $tree->framesetOk = false;
        for ($depth = $tree->open->height() - 1; $depth >= 0; $depth--) {
            $element = $tree->open->at($depth);
            if ($element->namespace === NodeNamespace::Html && in_array($element->name, $names, true)) {
                $tree->open->generateImpliedEndTags($tag->start, $element->name);
                if ($tree->open->current !== $element) {
                    $tree->errors->add('closing-of-element-with-open-child-elements', $tag->start);
                }
                $tree->open->popThrough($element, $tag->start);
                break;
            }
            if (Category::isSpecial($element) && ! in_array($element->name, ['address', 'div', 'p'], true)) {
                break;
            }
            if (! $tree->open->holds($names[0]) && ! $tree->open->holds($names[count($names) - 1])) {
                break;
            }
        }
        $tree->closePInButtonScope();
        $tree->insertElement($tag);
    }
}

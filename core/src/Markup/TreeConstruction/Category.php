<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\Parser\Tag;

/** Which elements the parser treats alike (HTML Standard, 13.2.4.2 and 13.2.6.4.7). */
final class Category
{
    private const SPECIAL = [
        'address' => 1, 'applet' => 1, 'area' => 1, 'article' => 1, 'aside' => 1, 'base' => 1, 'basefont' => 1,
        'bgsound' => 1, 'blockquote' => 1, 'body' => 1, 'br' => 1, 'button' => 1, 'caption' => 1, 'center' => 1,
        'col' => 1, 'colgroup' => 1, 'dd' => 1, 'details' => 1, 'dir' => 1, 'div' => 1, 'dl' => 1, 'dt' => 1,
        'embed' => 1, 'fieldset' => 1, 'figcaption' => 1, 'figure' => 1, 'footer' => 1, 'form' => 1, 'frame' => 1,
        'frameset' => 1, 'h1' => 1, 'h2' => 1, 'h3' => 1, 'h4' => 1, 'h5' => 1, 'h6' => 1, 'head' => 1, 'header' => 1,
        'hgroup' => 1, 'hr' => 1, 'html' => 1, 'iframe' => 1, 'img' => 1, 'input' => 1, 'keygen' => 1, 'li' => 1,
        'link' => 1, 'listing' => 1, 'main' => 1, 'marquee' => 1, 'menu' => 1, 'meta' => 1, 'nav' => 1, 'noembed' => 1,
        'noframes' => 1, 'noscript' => 1, 'object' => 1, 'ol' => 1, 'p' => 1, 'param' => 1, 'plaintext' => 1,
        'pre' => 1, 'script' => 1, 'search' => 1, 'section' => 1, 'select' => 1, 'source' => 1, 'style' => 1,
        'summary' => 1, 'table' => 1, 'tbody' => 1, 'td' => 1, 'template' => 1, 'textarea' => 1, 'tfoot' => 1,
        'th' => 1, 'thead' => 1, 'title' => 1, 'tr' => 1, 'track' => 1, 'ul' => 1, 'wbr' => 1, 'xmp' => 1,
    ];

    /** May be open at the end of the body without an error. */
    public const MAY_STAY_OPEN = [
        'dd' => 1, 'dt' => 1, 'li' => 1, 'optgroup' => 1, 'option' => 1, 'p' => 1, 'rb' => 1, 'rp' => 1, 'rt' => 1,
        'rtc' => 1, 'tbody' => 1, 'td' => 1, 'tfoot' => 1, 'th' => 1, 'thead' => 1, 'tr' => 1, 'body' => 1, 'html' => 1,
    ];

    /**
     * Elements that an end tag of their name simply closes when nothing is open inside them: all the steps of
     * 13.2.6.4.7 come to that.
     */
    public const PLAIN = [
        'p' => 1, 'div' => 1, 'span' => 1, 'li' => 1, 'dd' => 1, 'dt' => 1, 'ul' => 1, 'ol' => 1, 'dl' => 1, 'h1' => 1,
        'h2' => 1, 'h3' => 1, 'h4' => 1, 'h5' => 1, 'h6' => 1, 'section' => 1, 'article' => 1, 'header' => 1,
        'footer' => 1, 'nav' => 1, 'main' => 1, 'aside' => 1, 'pre' => 1, 'blockquote' => 1, 'figure' => 1,
        'figcaption' => 1, 'address' => 1, 'fieldset' => 1, 'details' => 1, 'summary' => 1, 'button' => 1, 'label' => 1,
        'q' => 1, 'cite' => 1, 'dfn' => 1, 'abbr' => 1, 'kbd' => 1, 'samp' => 1, 'var' => 1, 'sub' => 1, 'sup' => 1,
        'time' => 1, 'mark' => 1,
    ];

    public static function isSpecial(Element $element): bool
    {
        return match ($element->namespace) {
            NodeNamespace::Html => isset(self::SPECIAL[$element->name]),
            NodeNamespace::MathMl => in_array(
                $element->name,
                ['mi', 'mo', 'mn', 'ms', 'mtext', 'annotation-xml'],
                true,
            ),
            NodeNamespace::Svg => in_array($element->name, ['foreignObject', 'desc', 'title'], true),
        };
    }

    public static function isHeading(?Element $element): bool
    {
        return $element !== null
            && $element->namespace === NodeNamespace::Html
            && in_array($element->name, ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'], true);
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;

/**
 * The tables of foreign content: names that SVG and MathML spell with capitals, and where HTML begins again (HTML
 * Standard, 13.2.6.1 and 13.2.6.5).
 */
final readonly class Foreign
{
    private const SVG_ELEMENTS = 'altGlyph altGlyphDef altGlyphItem animateColor animateMotion animateTransform '
        .'clipPath feBlend feColorMatrix feComponentTransfer feComposite feConvolveMatrix feDiffuseLighting '
            .'feDisplacementMap feDistantLight feDropShadow feFlood feFuncA feFuncB feFuncG feFuncR feGaussianBlur '
                .'feImage feMerge feMergeNode feMorphology feOffset fePointLight feSpecularLighting feSpotLight feTile '
                    .'feTurbulence foreignObject glyphRef linearGradient radialGradient textPath';

    private const SVG_ATTRIBUTES = 'attributeName attributeType baseFrequency baseProfile calcMode clipPathUnits '
        .'diffuseConstant edgeMode filterUnits glyphRef gradientTransform gradientUnits kernelMatrix kernelUnitLength '
            .'keyPoints keySplines keyTimes lengthAdjust limitingConeAngle markerHeight markerUnits markerWidth '
                .'maskContentUnits maskUnits numOctaves pathLength patternContentUnits patternTransform patternUnits '
                    .'pointsAtX pointsAtY pointsAtZ preserveAlpha preserveAspectRatio primitiveUnits refX refY '
                        .'repeatCount repeatDur requiredExtensions requiredFeatures specularConstant specularExponent '
                            .'spreadMethod startOffset stdDeviation stitchTiles surfaceScale systemLanguage '
                                .'tableValues targetX targetY textLength viewBox viewTarget xChannelSelector '
                                    .'yChannelSelector zoomAndPan';

    private const QUALIFIED = [
        'xlink:actuate', 'xlink:arcrole', 'xlink:href', 'xlink:role', 'xlink:show', 'xlink:title', 'xlink:type',
        'xml:lang', 'xml:space', 'xmlns:xlink',
    ];

    /** 13.2.6.5: attributes with which a `font` start tag ends foreign content, too. */
    public const FONT = ['color' => 1, 'face' => 1, 'size' => 1];

    /** 13.2.6.5: start tags that end foreign content. */
    public const BREAKOUT = [
        'b' => 1, 'big' => 1, 'blockquote' => 1, 'body' => 1, 'br' => 1, 'center' => 1, 'code' => 1, 'dd' => 1,
        'div' => 1, 'dl' => 1, 'dt' => 1, 'em' => 1, 'embed' => 1, 'h1' => 1, 'h2' => 1, 'h3' => 1, 'h4' => 1,
        'h5' => 1, 'h6' => 1, 'head' => 1, 'hr' => 1, 'i' => 1, 'img' => 1, 'li' => 1, 'listing' => 1, 'menu' => 1,
        'meta' => 1, 'nobr' => 1, 'ol' => 1, 'p' => 1, 'pre' => 1, 'ruby' => 1, 's' => 1, 'small' => 1, 'span' => 1,
        'strong' => 1, 'strike' => 1, 'sub' => 1, 'sup' => 1, 'table' => 1, 'tt' => 1, 'u' => 1, 'ul' => 1, 'var' => 1,
    ];

    public static function elementName(string $name, NodeNamespace $namespace): string
    {
        return $namespace === NodeNamespace::Svg ? self::spelling(self::SVG_ELEMENTS, $name) : $name;
    }

    /**
     * @param  array<string, Attribute>  $attributes
     * @return array<string, Attribute> spelled as the vocabulary does; names with a namespace keep their prefix
     */
    public static function attributes(array $attributes, NodeNamespace $namespace): array
    {
        $adjusted = [];
        foreach ($attributes as $attribute) {
            $name = match ($namespace) {
                NodeNamespace::Svg => self::spelling(self::SVG_ATTRIBUTES, $attribute->name),
                NodeNamespace::MathMl => $attribute->name === 'definitionurl' ? 'definitionURL' : $attribute->name,
                NodeNamespace::Html => $attribute->name,
            };
            $adjusted[$name] = $attribute->named($name);
        }

        return $adjusted;
    }

    /** Whether an attribute of a foreign element has a namespace of its own (13.2.6.1, "adjust foreign attributes"). */
    public static function isQualified(string $attribute): bool
    {
        return in_array($attribute, self::QUALIFIED, true);
    }

    public static function isMathMlTextIntegrationPoint(Element $element): bool
    {
        return $element->namespace === NodeNamespace::MathMl
            && in_array($element->name, ['mi', 'mo', 'mn', 'ms', 'mtext'], true);
    }

    public static function isHtmlIntegrationPoint(Element $element): bool
    {
        if ($element->namespace === NodeNamespace::Svg) {
            return in_array($element->name, ['foreignObject', 'desc', 'title'], true);
        }

        return $element->namespace === NodeNamespace::MathMl && $element->name === 'annotation-xml'
            && in_array(strtolower($element->value('encoding') ?? ''), ['text/html', 'application/xhtml+xml'], true);
    }

    private static function spelling(string $names, string $lower): string
    {
        static $tables = [];
        $tables[$names] ??= array_combine(explode(' ', strtolower($names)), explode(' ', $names));

        return $tables[$names][$lower] ?? $lower;
    }
}

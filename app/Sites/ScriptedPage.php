<?php

declare(strict_types=1);

namespace App\Sites;

use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/**
 * A student's page whose scripts may run, without what would connect it to other machines past the policy that it is
 * sent with: Chromium does not know `webrtc 'block'` (tried with version 156). Our script runs before any of theirs.
 */
final readonly class ScriptedPage
{
    /** What a default policy of Trusted Types needs. */
    public const POLICY = ["require-trusted-types-for 'script'", 'trusted-types default'];

    /**
     * Takes the interfaces away, and with them the frames that a script could write to have them again. All markup that
     * a script writes goes through the default policy (Trusted Types, W3C working draft).
     */
    private const BEFORE = <<<'JS'
        (() => {
            const gone = ['RTCPeerConnection', 'webkitRTCPeerConnection', 'RTCDataChannel', 'RTCIceTransport',
                'WebTransport', 'WebSocket', 'WebSocketStream', 'EventSource']
            for (const name of gone) {
                Object.defineProperty(window, name, {value: undefined, writable: false, configurable: false})
            }
            const write = String.prototype.replace
            window.trustedTypes?.createPolicy('default', {
                createHTML: (html, type, sink) => /srcdoc/i.test(sink) ? '' : write.call(html, /srcdoc/gi, 'data-srcdoc'),
                createScript: code => code,
                createScriptURL: address => address,
            })
        })()
        JS;

    /** What may stand before the first tag without being one: after it the page would be in quirks mode. */
    private const START = '~^(?:\xEF\xBB\xBF)?(?:\s|<!--.*?-->)*+(?:<!doctype[^>]*>)?~is';

    private const MARK = "\xEF\xBB\xBF";

    /**
     * @param  string  $html  as UTF-8, whatever it says of itself
     * @return string|null null where it is too large to be read
     */
    public static function of(string $html): ?string
    {
        // With the mark, as what the page says of its encoding is not true any more.
        $html = str_starts_with($html, self::MARK) ? $html : self::MARK.$html;
        try {
            $document = MarkupReader::read(new SourceFile('page.html', $html));
        } catch (OverLimit) {
            return null;
        }
        $spans = [];
        foreach ($document->made as $element) {
            $srcdoc = $element->name === 'iframe' ? $element->attribute('srcdoc')?->nameSpan() : null;
            if ($srcdoc !== null) {
                $spans[$srcdoc->start] = $srcdoc;
            }
        }
        krsort($spans);
        $safe = array_reduce(
            $spans,
            fn (string $bytes, Span $span) => substr_replace($bytes, 'data-srcdoc', $span->start, $span->length()),
            $html,
        );
        $start = preg_match(self::START, $safe, $found) === 1 ? strlen($found[0]) : 0;

        return substr_replace($safe, '<script>'.self::BEFORE.'</script>', $start, 0);
    }
}

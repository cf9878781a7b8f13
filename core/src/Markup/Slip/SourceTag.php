<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\ElementTable;

/** A tag as it is written in the source, whatever a parser makes of it. */
final readonly class SourceTag
{
    private function __construct(
        public string $name,
        public bool $isEnd,
        public int $start,
        public int $end,
        public bool $isBare,
    ) {
    }

    /**
     * @param  int  $from  in bytes
     * @return iterable<self> those that begin there or later, without what is in comments, scripts and styles
     */
    public static function allIn(string $bytes, int $from = 0): iterable
    {
        $pattern = '~<!--.*?(?:-->|\z)|<(script|style|textarea|title)\b[^>]*>.*?</\1\s*>'
            .'|<(/?)([a-z][a-z0-9]*)((?:\s[^<>]*)?)>~is';
        while (preg_match($pattern, $bytes, $tag, PREG_OFFSET_CAPTURE, $from) === 1) {
            $from = $tag[0][1] + strlen($tag[0][0]);
            if (isset($tag[3]) && $tag[3][1] >= 0) {
                yield new self(
                    strtolower($tag[3][0]),
                    $tag[2][0] === '/',
                    $tag[0][1],
                    $from,
                    trim($tag[4][0]) === '',
                );
            }
        }
    }

    public function isVoid(): bool
    {
        return ElementTable::load()->isVoid($this->name);
    }
}

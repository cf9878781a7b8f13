<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\ElementTable;

/** A tag as it is written in the source, whatever a parser makes of it. */
final readonly class SourceTag
{
    private const TAG = '~<!--.*?(?:-->|\z)|<(/?)([a-z][a-z0-9]*)((?:\s[^<>]*)?)>~is';

    /** Elements with text in them that is no markup. */
    private const RAW = ['script', 'style', 'textarea', 'title'];

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
        $endless = [];
        while (preg_match(self::TAG, $bytes, $tag, PREG_OFFSET_CAPTURE, $from) === 1) {
            $from = $tag[0][1] + strlen($tag[0][0]);
            if (! isset($tag[1], $tag[2], $tag[3])) {
                continue;
            }
            $name = strtolower($tag[2][0]);
            $isEnd = $tag[1][0] === '/';
            if (! $isEnd && in_array($name, self::RAW, true) && ! isset($endless[$name])) {
                $end = stripos($bytes, "</$name", $from);
                $endless += $end === false ? [$name => true] : [];
                $from = $end === false ? $from : $end;

                continue;
            }
            yield new self($name, $isEnd, $tag[0][1], $from, trim($tag[3][0]) === '');
        }
    }

    public function isVoid(): bool
    {
        return ElementTable::load()->isVoid($this->name);
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Url;

/** A URL record (URL Standard, 4.1). */
final readonly class Url implements \Stringable
{
    public const DEFAULT_PORTS = ['ftp' => 21, 'file' => null, 'http' => 80, 'https' => 443, 'ws' => 80, 'wss' => 443];

    /**
     * @param  string|null  $host  serialised; null when there is none
     * @param  int|null  $port  null for the scheme's own
     * @param  list<string>|string  $path  segments, percent-encoded; a string when it is opaque
     * @param  list<UrlProblem>  $problems  what the standard has against how it was written
     */
    public function __construct(
        public string $scheme,
        public string $username = '',
        public string $password = '',
        public ?string $host = null,
        public ?int $port = null,
        public array|string $path = [],
        public ?string $query = null,
        public ?string $fragment = null,
        public array $problems = [],
    ) {
    }

    /**
     * Reads what stands in an attribute, seen from the address of its page.
     *
     * @throws UrlError when it is no address
     */
    public static function parse(string $text, ?self $base = null): self
    {
        return (new UrlParser($text, $base))->run();
    }

    public function isSpecial(): bool
    {
        return array_key_exists($this->scheme, self::DEFAULT_PORTS);
    }

    public function hasOpaquePath(): bool
    {
        return is_string($this->path);
    }

    /** 4.5, "URL path serializer". */
    public function pathText(): string
    {
        return is_string($this->path)
            ? $this->path
            : implode('', array_map(fn (string $segment) => "/$segment", $this->path));
    }

    /** 4.5, "URL serializer". */
    public function __toString(): string
    {
        $text = "$this->scheme:";
        if ($this->host !== null) {
            $credentials = $this->username.($this->password === '' ? '' : ":$this->password");
            $text .= '//'.($credentials === '' ? '' : "$credentials@").$this->host
                .($this->port === null ? '' : ":$this->port");
        } elseif (is_array($this->path) && count($this->path) > 1 && $this->path[0] === '') {
            $text .= '/.';
        }

        return $text.$this->pathText()
            .($this->query === null ? '' : "?$this->query")
            .($this->fragment === null ? '' : "#$this->fragment");
    }
}

<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Brief\Requirement\TextPattern;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Site\Url\Url;
use InkedMargin\Core\Site\Url\UrlError;
use InkedMargin\Core\Source\Span;

/** The address that a site was published under: its host and path, and that others can reach it. */
final readonly class Address extends Requirement implements SpeaksForItself
{
    public function __construct(
        Terms $terms,
        private ?TextPattern $host,
        private ?TextPattern $path,
        private bool $secure,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'address';
    }

    public static function about(): string
    {
        return 'The address a site is published under. One on the author’s own computer never counts.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/address',
            'Wrong published address',
            Weight::Departure,
            ProofMark::Change,
            'The address of the site is not one that the brief asks for.',
            'People can only visit your site at the address where it is published. At another '
                .'address, or on your own computer, they do not find it.',
            Citation::brief(),
        );
    }

    public static function fields(): array
    {
        return [
            Field::namePattern('host', 'the host'),
            Field::namePattern('path', 'the path, which begins with `/`'),
            Field::flag('https', 'whether it has to begin with `https:`; no when it is left out'),
        ];
    }

    public static function variants(): array
    {
        return array_fill_keys(['own-computer', 'host', 'path', 'insecure'], 'brief/address');
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $pattern = function (string $field) use ($fields): ?TextPattern {
            try {
                return $fields->has($field) ? TextPattern::read($fields->text($field)) : null;
            } catch (BriefError $error) {
                $fields->problem($field, $error->problems[0]);

                return null;
            }
        };

        return new self($terms, $pattern('host'), $pattern('path'), $fields->flag('https', false));
    }

    public function sentence(): string
    {
        $where = array_filter([
            $this->host === null ? '' : "at `{$this->host->written}`",
            $this->path === null ? '' : "under `{$this->path->written}`",
            $this->secure ? 'with `https:`' : '',
        ]);

        return 'The site is published'.($where === [] ? '' : ' '.implode(', ', $where)).', where others can open it.';
    }

    public function isAboutPages(): bool
    {
        return false;
    }

    public function readsFiles(): bool
    {
        return false;
    }

    public function assess(ParsedSite $site): Assessment
    {
        $address = $site->files->packing->address;
        $url = $address === null ? null : self::parsed($address);
        if ($address === null || $url === null) {
            return Assessment::notJudged('no address was handed in', $this->expectation());
        }
        $handle = $site->files->packing->handle;
        $host = (string) $url->host;
        $path = '/'.ltrim($url->pathText(), '/');
        $fits = fn (?TextPattern $pattern, string $text) => $pattern === null
            || TextPattern::read(
                str_replace('{student.handle}', $handle ?? '*', $pattern->written),
            )->is($text) !== false;
        $slips = array_filter([
            self::isOwnComputer($url->scheme, $host)
                ? [
                    'own-computer',
                    "`$address` is on your own computer, so nobody else can open it.",
                    'Publish the site, and hand in its address there.',
                ]
                : null,
            $fits($this->host, $host)
                ? null
                : ['host', "The host is `$host`; the brief asks for `{$this->host?->written}`.", 'Publish it there.'],
            $fits($this->path, $path)
                ? null
                : [
                    'path',
                    "The path is `$path`; the brief asks for `{$this->path?->written}`.",
                    'Publish it in that folder.',
                ],
            $this->secure && $url->scheme !== 'https'
                ? ['insecure', "`$address` does not begin with `https:`.", 'Hand in the address with `https:`.']
                : null,
        ]);
        // What is on the author's own computer is nowhere else.
        $told = isset($slips[0]) ? [$slips[0]] : array_values($slips);
        $shortfalls = array_map(fn (array $slip) => Shortfall::of(
            Draft::in(Site::HOME, $site->files->home(), Span::at(0), "address:$slip[0]")
                ->variant($slip[0])
                ->mark(ProofMark::Change)
                ->says($slip[1])
                ->remedy($slip[2]),
        )->item('address'), $told);

        return Assessment::of(1, $shortfalls, "`$address`", $this->expectation());
    }

    private static function parsed(string $address): ?Url
    {
        try {
            return Url::parse($address);
        } catch (UrlError) {
            return null;
        }
    }

    /** RFC 6761, section 6.3; RFC 1122, section 3.2.1.3; RFC 4291, section 2.5.3. */
    private static function isOwnComputer(string $scheme, string $host): bool
    {
        return $scheme === 'file' || $host === '' || preg_match('/(?:^|\.)localhost\.?$/i', $host) === 1
            || preg_match('/^(?:127\.|0\.0\.0\.0$)/', $host) === 1 || in_array(trim($host, '[]'), ['::1', '::'], true);
    }
}

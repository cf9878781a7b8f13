<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Url;

/**
 * The basic URL parser of the URL Standard, 4.4: a method for each of its states, under the standard's names.
 *
 * It works on UTF-8: everything that has a meaning to it is ASCII. Each state is given the character at the pointer, ''
 * at the end.
 */
final class UrlParser
{
    private const URL_UNITS = '~^(?:[A-Za-z0-9!$&\'()*+,\-./:;=?@_\~]|%[0-9A-Fa-f]{2}|[\xc2-\xf4][\x80-\xbf]+)*$~D';

    private readonly string $input;

    private int $at = 0;

    private string $state = 'schemeStartState';

    private string $buffer = '';

    private bool $atSignSeen = false;

    private bool $insideBrackets = false;

    private bool $passwordSeen = false;

    private string $scheme = '';

    private string $username = '';

    private string $password = '';

    private ?string $host = null;

    private ?int $port = null;

    /** @var list<string> */
    private array $path = [];

    private ?string $opaque = null;

    private ?string $query = null;

    private ?string $fragment = null;

    /** @var array<string, UrlProblem> */
    private array $problems = [];

    public function __construct(string $text, private readonly ?Url $base)
    {
        $trimmed = trim($text, "\x00..\x20");
        $this->input = str_replace(["\t", "\n", "\r"], '', $trimmed);
        if ($trimmed !== $text || $this->input !== $trimmed) {
            $this->problem(UrlProblem::InvalidUrlUnit);
        }
    }

    /** @throws UrlError */
    public function run(): Url
    {
        for ($length = strlen($this->input); $this->at <= $length; $this->at++) {
            $this->{$this->state}($this->input[$this->at] ?? '');
        }

        return new Url(
            $this->scheme,
            $this->username,
            $this->password,
            $this->host,
            $this->port,
            $this->opaque ?? $this->path,
            $this->query,
            $this->fragment,
            array_values($this->problems),
        );
    }

    private function problem(UrlProblem $problem): void
    {
        $this->problems[$problem->value] = $problem;
    }

    private function fail(UrlProblem $problem): never
    {
        throw new UrlError($problem);
    }

    private function isSpecial(): bool
    {
        return array_key_exists($this->scheme, Url::DEFAULT_PORTS);
    }

    /**
     * Whether the character is a `\` that counts as `/`, as it does in addresses of the web; that is a problem as well.
     */
    private function isReverseSolidus(string $character): bool
    {
        if ($character !== '\\' || ! $this->isSpecial()) {
            return false;
        }
        $this->problem(UrlProblem::InvalidReverseSolidus);

        return true;
    }

    private function goTo(string $state): void
    {
        $this->state = $state;
    }

    /** Sees the same character again in another state. */
    private function again(string $state): void
    {
        $this->state = $state;
        $this->at--;
    }

    private function schemeStartState(string $character): void
    {
        if (ctype_alpha($character)) {
            $this->buffer = strtolower($character);
            $this->goTo('schemeState');
        } else {
            $this->again('noSchemeState');
        }
    }

    private function schemeState(string $character): void
    {
        if (ctype_alnum($character) || ($character !== '' && str_contains('+-.', $character))) {
            $this->buffer .= strtolower($character);

            return;
        }
        if ($character !== ':') {
            $this->buffer = '';
            $this->at = 0;
            $this->again('noSchemeState');

            return;
        }
        $this->scheme = $this->buffer;
        $this->buffer = '';
        $next = $this->input[$this->at + 1] ?? '';
        if ($this->scheme === 'file') {
            if (substr($this->input, $this->at + 1, 2) !== '//') {
                $this->problem(UrlProblem::SpecialSchemeMissingFollowingSolidus);
            }
            $this->goTo('fileState');
        } elseif ($this->isSpecial()) {
            $this->goTo(
                $this->base?->scheme === $this->scheme
                    ? 'specialRelativeOrAuthorityState'
                    : 'specialAuthoritySlashesState',
            );
        } elseif ($next === '/') {
            $this->at++;
            $this->goTo('pathOrAuthorityState');
        } else {
            $this->opaque = '';
            $this->goTo('opaquePathState');
        }
    }

    private function noSchemeState(string $character): void
    {
        $base = $this->base;
        if ($base === null || ($base->hasOpaquePath() && $character !== '#')) {
            $this->fail(UrlProblem::MissingSchemeNonRelativeUrl);
        }
        if ($base->hasOpaquePath()) {
            $this->scheme = $base->scheme;
            $this->opaque = is_string($base->path) ? $base->path : '';
            $this->query = $base->query;
            $this->fragment = '';
            $this->goTo('fragmentState');
        } else {
            $this->again($base->scheme === 'file' ? 'fileState' : 'relativeState');
        }
    }

    private function specialRelativeOrAuthorityState(string $character): void
    {
        if ($character === '/' && ($this->input[$this->at + 1] ?? '') === '/') {
            $this->at++;
            $this->goTo('specialAuthorityIgnoreSlashesState');
        } else {
            $this->problem(UrlProblem::SpecialSchemeMissingFollowingSolidus);
            $this->again('relativeState');
        }
    }

    private function pathOrAuthorityState(string $character): void
    {
        $character === '/' ? $this->goTo('authorityState') : $this->again('pathState');
    }

    private function relativeState(string $character): void
    {
        $base = $this->base ?? $this->fail(UrlProblem::MissingSchemeNonRelativeUrl);
        $this->scheme = $base->scheme;
        if ($character === '/') {
            $this->goTo('relativeSlashState');

            return;
        }
        if ($this->isReverseSolidus($character)) {
            $this->goTo('relativeSlashState');

            return;
        }
        $this->takeAuthorityOf($base);
        $this->path = is_array($base->path) ? $base->path : [];
        $this->query = $base->query;
        $this->afterBasePath($character);
    }

    private function takeAuthorityOf(Url $base): void
    {
        [$this->username, $this->password, $this->host, $this->port] = [
            $base->username, $base->password, $base->host, $base->port,
        ];
    }

    /** What `?`, `#` and everything else means where the path of the base has been taken over. */
    private function afterBasePath(string $character): void
    {
        if (! $this->leavesPath($character) && $character !== '') {
            $this->query = null;
            $this->shortenPath();
            $this->again('pathState');
        }
    }

    /** Whether the character ends the path, and begins what comes after it. */
    private function leavesPath(string $character): bool
    {
        if ($character === '?') {
            $this->query = '';
            $this->goTo('queryState');
        } elseif ($character === '#') {
            $this->fragment = '';
            $this->goTo('fragmentState');
        } else {
            return false;
        }

        return true;
    }

    private function relativeSlashState(string $character): void
    {
        $isSlash = $character === '/' || $this->isReverseSolidus($character);
        if ($this->isSpecial() && $isSlash) {
            $this->goTo('specialAuthorityIgnoreSlashesState');
        } elseif ($isSlash) {
            $this->goTo('authorityState');
        } elseif ($this->base !== null) {
            $this->takeAuthorityOf($this->base);
            $this->again('pathState');
        }
    }

    private function specialAuthoritySlashesState(string $character): void
    {
        if ($character === '/' && ($this->input[$this->at + 1] ?? '') === '/') {
            $this->at++;
            $this->goTo('specialAuthorityIgnoreSlashesState');
        } else {
            $this->problem(UrlProblem::SpecialSchemeMissingFollowingSolidus);
            $this->again('specialAuthorityIgnoreSlashesState');
        }
    }

    private function specialAuthorityIgnoreSlashesState(string $character): void
    {
        if ($character === '/' || $character === '\\') {
            $this->problem(UrlProblem::SpecialSchemeMissingFollowingSolidus);
        } else {
            $this->again('authorityState');
        }
    }

    private function authorityState(string $character): void
    {
        if ($character === '@') {
            $this->problem(UrlProblem::InvalidCredentials);
            $credentials = ($this->atSignSeen ? '%40' : '').$this->buffer;
            $this->atSignSeen = true;
            [$name, $password] = $this->passwordSeen
                ? [null, $credentials]
                : explode(':', $credentials, 2) + [1 => null];
            $this->username .= PercentEncoding::encode($name ?? '', PercentEncoding::USERINFO);
            $this->password .= PercentEncoding::encode($password ?? '', PercentEncoding::USERINFO);
            $this->passwordSeen = $this->passwordSeen || $password !== null;
            $this->buffer = '';
        } elseif ($this->endsAuthority($character)) {
            if ($this->atSignSeen && $this->buffer === '') {
                $this->fail(UrlProblem::HostMissing);
            }
            $this->at -= strlen($this->buffer) + 1;
            $this->buffer = '';
            $this->goTo('hostState');
        } else {
            $this->buffer .= $character;
        }
    }

    private function endsAuthority(string $character): bool
    {
        return $character === ''
            || $character === '/'
            || $character === '?'
            || $character === '#'
            || $this->isReverseSolidus($character);
    }

    private function hostState(string $character): void
    {
        if ($character === ':' && ! $this->insideBrackets) {
            if ($this->buffer === '') {
                $this->fail(UrlProblem::HostMissing);
            }
            $this->takeHost();
            $this->goTo('portState');
        } elseif ($this->endsAuthority($character)) {
            if ($this->isSpecial() && $this->buffer === '') {
                $this->fail(UrlProblem::HostMissing);
            }
            $this->takeHost();
            $this->again('pathStartState');
        } else {
            $this->insideBrackets = $character === '[' || ($this->insideBrackets && $character !== ']');
            $this->buffer .= $character;
        }
    }

    private function takeHost(): void
    {
        $this->host = $this->buffer === '' ? '' : HostParser::parse($this->buffer, ! $this->isSpecial());
        $this->buffer = '';
    }

    private function portState(string $character): void
    {
        if (ctype_digit($character)) {
            $this->buffer .= $character;

            return;
        }
        if (! $this->endsAuthority($character)) {
            $this->fail(UrlProblem::PortInvalid);
        }
        if ($this->buffer !== '') {
            $digits = ltrim($this->buffer, '0');
            if (strlen($digits) > 5 || (int) $digits > 65535) {
                $this->fail(UrlProblem::PortOutOfRange);
            }
            $this->port = (int) $digits === (Url::DEFAULT_PORTS[$this->scheme] ?? null) ? null : (int) $digits;
            $this->buffer = '';
        }
        $this->again('pathStartState');
    }

    private function fileState(string $character): void
    {
        $this->scheme = 'file';
        $this->host = '';
        if ($character === '/' || $this->isReverseSolidus($character)) {
            $this->goTo('fileSlashState');
        } elseif ($this->base?->scheme === 'file') {
            $this->host = $this->base->host;
            $this->path = is_array($this->base->path) ? $this->base->path : [];
            $this->query = $this->base->query;
            if ($character !== '' && $character !== '?' && $character !== '#' && $this->startsWithDriveLetter()) {
                $this->problem(UrlProblem::FileInvalidWindowsDriveLetter);
                $this->query = null;
                $this->path = [];
                $this->again('pathState');
            } else {
                $this->afterBasePath($character);
            }
        } else {
            $this->again('pathState');
        }
    }

    private function fileSlashState(string $character): void
    {
        if ($character === '/' || $this->isReverseSolidus($character)) {
            $this->goTo('fileHostState');

            return;
        }
        if ($this->base?->scheme === 'file') {
            $this->host = $this->base->host;
            $drive = is_array($this->base->path) ? $this->base->path[0] ?? '' : '';
            if (! $this->startsWithDriveLetter() && preg_match('/^[A-Za-z]:$/D', $drive) === 1) {
                $this->path[] = $drive;
            }
        }
        $this->again('pathState');
    }

    private function fileHostState(string $character): void
    {
        if (! $this->endsAuthority($character)) {
            $this->buffer .= $character;

            return;
        }
        if (preg_match('/^[A-Za-z][:|]$/D', $this->buffer) === 1) {
            $this->problem(UrlProblem::FileInvalidWindowsDriveLetter);
            $this->again('pathState');

            return;
        }
        if ($this->buffer !== '') {
            $host = HostParser::parse($this->buffer, false);
            $this->host = $host === 'localhost' ? '' : $host;
        }
        $this->buffer = '';
        $this->again('pathStartState');
    }

    private function startsWithDriveLetter(): bool
    {
        return preg_match('~\G[A-Za-z][:|](?=[/\\\\?#]|$)~D', $this->input, $match, 0, $this->at) === 1;
    }

    private function pathStartState(string $character): void
    {
        if ($this->isSpecial()) {
            $this->isReverseSolidus($character) || $character === '/'
                ? $this->goTo('pathState')
                : $this->again('pathState');
        } elseif (! $this->leavesPath($character) && $character !== '') {
            $character === '/' ? $this->goTo('pathState') : $this->again('pathState');
        }
    }

    private function pathState(string $character): void
    {
        $isReverse = $this->isReverseSolidus($character);
        if ($character !== '' && $character !== '/' && ! $isReverse && $character !== '?' && $character !== '#') {
            $run = strcspn($this->input, '/\\?#', $this->at);
            $run = max(1, $run);
            $part = substr($this->input, $this->at, $run);
            $this->checkUnits($part);
            $this->buffer .= PercentEncoding::encode($part, PercentEncoding::PATH);
            $this->at += $run - 1;

            return;
        }
        $isSlash = $character === '/' || $isReverse;
        $dots = preg_replace('/%2e/i', '.', $this->buffer);
        if ($dots === '..') {
            $this->shortenPath();
            if (! $isSlash) {
                $this->path[] = '';
            }
        } elseif ($dots === '.') {
            if (! $isSlash) {
                $this->path[] = '';
            }
        } else {
            if ($this->scheme === 'file' && $this->path === [] && preg_match(
                '/^[A-Za-z][:|]$/D',
                $this->buffer,
            ) === 1) {
                $this->buffer = $this->buffer[0].':';
            }
            $this->path[] = $this->buffer;
        }
        $this->buffer = '';
        $this->leavesPath($character);
    }

    /** 4.1, "shorten a url's path": a drive letter stays. */
    private function shortenPath(): void
    {
        if ($this->scheme === 'file' && count($this->path) === 1 && preg_match(
            '/^[A-Za-z]:$/D',
            $this->path[0],
        ) === 1) {
            return;
        }
        array_pop($this->path);
    }

    private function opaquePathState(string $character): void
    {
        if ($this->leavesPath($character)) {
            return;
        }
        if ($character === ' ') {
            $next = $this->input[$this->at + 1] ?? '';
            $this->opaque .= $next === '?' || $next === '#' ? '%20' : ' ';
        } elseif ($character !== '') {
            $this->checkUnits($character);
            $this->opaque .= PercentEncoding::encode($character, PercentEncoding::CONTROL);
        }
    }

    private function queryState(string $character): void
    {
        $part = substr($this->input, $this->at, strcspn($this->input, '#', $this->at));
        $this->checkUnits($part);
        $this->query .= PercentEncoding::encode(
            $part,
            $this->isSpecial() ? PercentEncoding::SPECIAL_QUERY : PercentEncoding::QUERY,
        );
        $this->at += strlen($part);
        if ($this->at < strlen($this->input)) {
            $this->fragment = '';
            $this->goTo('fragmentState');
        }
    }

    private function fragmentState(string $character): void
    {
        $part = substr($this->input, $this->at);
        $this->checkUnits($part);
        $this->fragment .= PercentEncoding::encode($part, PercentEncoding::FRAGMENT);
        $this->at = strlen($this->input);
    }

    private function checkUnits(string $part): void
    {
        if (preg_match(self::URL_UNITS, $part) !== 1) {
            $this->problem(UrlProblem::InvalidUrlUnit);
        }
    }
}

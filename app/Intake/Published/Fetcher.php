<?php

declare(strict_types=1);

namespace App\Intake\Published;

use GuzzleHttp\Exception\GuzzleException;
use GuzzleHttp\Psr7\Utils;
use Illuminate\Support\Facades\Http;
use InkedMargin\Core\Intake\EntryName;
use InkedMargin\Core\Intake\Limits;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Site\Url\Url;
use InkedMargin\Core\Site\Url\UrlError;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Utf8;

/**
 * Fetches a published site from its home page on: what its pages and stylesheets lead to, in its own folder, and under
 * the limits of an archive.
 */
final class Fetcher
{
    private const MAX_REQUESTS = 500;

    private const MAX_REDIRECTS = 5;

    /** Seconds for one file, and for a connection. */
    private const LONGEST_FILE = 20;

    private const LONGEST_CONNECT = 5;

    /** Characters of what a server says that are kept. */
    private const LONGEST_TEXT = 1_000;

    /** Names that home pages have, and that servers do not show. */
    private const OTHER_HOMES = [
        'Index.html', 'INDEX.HTML', 'index.htm', 'Index.htm', 'home.html', 'Home.html', 'main.html',
    ];

    /** How often other spellings are asked for than those that links have. */
    private const MAX_GUESSES = 80;

    private float $until = 0.0;

    private int $guesses = 0;

    private int $requests = 0;

    /** @var list<Served> */
    private array $served = [];

    public function __construct(private readonly AddressRule $rule, private readonly Limits $limits = new Limits)
    {
    }

    /**
     * @param  int  $seconds  for all of it
     * @param  list<string>  $besides  paths that are asked for whether anything leads to them or not
     * @param  list<string>  $known  paths that the site had elsewhere: they tell how a name may be spelled that is not
     *     found
     *
     * @throws FetchFailure where there is no site to fetch
     */
    public function fetch(
        string $address,
        int $seconds = FetchTurn::LONG,
        array $besides = [],
        array $known = [],
    ): Fetched {
        [$this->until, $this->requests, $this->guesses, $this->served] = [microtime(true) + $seconds, 0, 0, []];
        $spellings = new Spellings([...$besides, ...$known]);
        $url = $this->rule->read($address);
        [$folder, $home, $bytes] = $this->home($url);
        $files = [$home => new SourceFile($home, $bytes)];
        $asked = [$home => true];
        $fresh = $files;
        $total = strlen($bytes);
        $isCut = false;
        while ($fresh !== []) {
            $next = [];
            foreach ([...self::pathsIn($fresh, $folder), ...$besides] as $path) {
                $path = self::fileOf($path);
                if (isset($asked[$path])) {
                    continue;
                }
                $asked[$path] = true;
                if ($this->isSpent($total)) {
                    $isCut = true;
                    break;
                }
                $file = $this->file($folder, $path) ?? $this->spelledOtherwise($folder, $spellings->of($path), $asked);
                if ($file !== null) {
                    $total += strlen($file->bytes);
                    $asked[$file->path] = true;
                    $next[$file->path] = $files[$file->path] = $file;
                }
            }
            $fresh = $isCut ? [] : $next;
        }

        return new Fetched(
            new Site(self::nameOf($folder), $files, new Packing(null, [], address: $address)),
            $this->served,
            $isCut,
            $isCut && $this->isOutOfTime(),
        );
    }

    /**
     * What is there in other letters alone is fetched so, and the check says where the letters differ.
     *
     * @param  list<string>  $spellings
     * @param  array<array-key, bool>  $asked
     */
    private function spelledOtherwise(string $folder, array $spellings, array &$asked): ?SourceFile
    {
        foreach ($spellings as $path) {
            if (isset($asked[$path]) || $this->guesses >= self::MAX_GUESSES || $this->isSpent(0)) {
                continue;
            }
            $this->guesses++;
            $asked[$path] = true;
            $file = $this->file($folder, $path);
            if ($file !== null) {
                return $file;
            }
            // Nobody has linked to it so: that it is not there says nothing of the site.
            array_pop($this->served);
        }

        return null;
    }

    /**
     * @return array{string, string, string} the address of the folder, the path of its home page, and its bytes
     *
     * @throws FetchFailure
     */
    private function home(Url $url): array
    {
        $asked = self::bare($url);
        [$final, $status, $type, $bytes, $to] = $this->get($asked);
        $name = basename((string) parse_url($final, PHP_URL_PATH));
        $isFolder = str_ends_with((string) parse_url($final, PHP_URL_PATH), '/');
        $folder = $isFolder ? $final : substr($final, 0, (int) strrpos($final, '/') + 1);
        $home = $isFolder ? Site::HOME : rawurldecode($name);
        $this->tell($home, $status, $type, $to);
        try {
            EntryName::clean($home, $this->limits);
        } catch (Refusal) {
            throw new FetchFailure(Trouble::NotAPage, "The page at `$asked` has a name that no file can have here.");
        }
        if ($status === 404 || $status === 410 || $status === 403) {
            throw $this->nothingThere($folder, $asked, $status, $isFolder);
        }
        if ($status !== 200) {
            throw new FetchFailure(
                Trouble::Refused,
                "The server answers `$asked` with the status $status, and not with a page.",
            );
        }
        if ($isFolder && preg_match('~<title>\s*(?:Index of|Directory listing)~i', substr($bytes, 0, 2_000)) === 1) {
            throw self::noIndex($asked);
        }
        if (! str_contains(strtolower($type), 'html') && ! preg_match('/^\s*</', $bytes)) {
            throw new FetchFailure(
                Trouble::NotAPage,
                "At `$asked` there is no page: the server sends `$type`. Hand in the address of the site's folder.",
            );
        }

        return [$folder, $home, $bytes];
    }

    /** Tells a folder without a home page, and one whose home page has another name, from one that is not there. */
    private function nothingThere(string $folder, string $asked, int $status, bool $isFolder): FetchFailure
    {
        if ($isFolder) {
            foreach (self::OTHER_HOMES as $name) {
                if ($this->get($folder.$name)[1] === 200) {
                    return new FetchFailure(
                        Trouble::NoIndex,
                        "There is a `$name` at `$asked`, but servers show `index.html`, in small letters. Rename it.",
                    );
                }
            }
        }

        return $status === 403
            ? self::noIndex($asked)
            : new FetchFailure(
                Trouble::NotFound,
                "There is nothing at `$asked` yet. Publishing may take a while; or the address is not spelled right.",
            );
    }

    private static function noIndex(string $asked): FetchFailure
    {
        return new FetchFailure(
            Trouble::NoIndex,
            "The folder `$asked` has no `index.html` that the server could show.",
        );
    }

    /** Whether no more is asked for. */
    private function isSpent(int $bytes): bool
    {
        return $this->requests >= self::MAX_REQUESTS
            || $this->isOutOfTime()
            || $bytes > $this->limits->totalBytes;
    }

    private function isOutOfTime(): bool
    {
        return microtime(true) > $this->until;
    }

    /** A file under the path that it was asked for by; null where the server has none. */
    private function file(string $folder, string $path): ?SourceFile
    {
        $url = $folder.implode('/', array_map(rawurlencode(...), explode('/', $path)));
        // A folder is asked for as a link asks for it.
        $url = preg_replace('~/index\.html$~', '/', $url) ?? $url;
        try {
            EntryName::clean($path, $this->limits);
            [, $status, $type, $bytes, $to] = $this->get($url);
        } catch (FetchFailure|Refusal $failure) {
            $this->tell($path, 0, '', why: $failure->getMessage());

            return null;
        }
        $this->tell($path, $status, $type, $to);

        // What is shown in place of it from somewhere else is no file of this site.
        if (
            $status !== 200
            || ($to !== null && ! str_starts_with(self::withoutScheme($to), self::withoutScheme($folder)))
        ) {
            return null;
        }
        $isFolder = $to !== null && str_ends_with($to, '/') && ! str_ends_with($path, Site::HOME);

        return new SourceFile($isFolder ? "$path/".Site::HOME : $path, $bytes);
    }

    /** Takes note of what the server said, as text that can be kept: names and headers may hold any bytes. */
    private function tell(string $path, int $status, string $type, ?string $to = null, ?string $why = null): void
    {
        $this->served[] = new Served(
            self::text($path),
            $status,
            self::text($type),
            $to === null ? null : self::text($to),
            $why === null ? null : self::text($why),
        );
    }

    private static function text(string $bytes): string
    {
        $text = preg_replace('/[\x00-\x1f\x7f]/', "\u{FFFD}", Utf8::scrub($bytes)) ?? '';

        return mb_substr($text, 0, self::LONGEST_TEXT);
    }

    /**
     * Asks for an address, and follows where it is redirected to: each step is looked at like the first.
     *
     * @return array{string, int, string, string, string|null} the last address, status, type, bytes, and where it was
     *     redirected to
     *
     * @throws FetchFailure
     */
    private function get(string $address): array
    {
        $at = $address;
        for ($steps = 0; $steps <= self::MAX_REDIRECTS; $steps++) {
            [$status, $type, $bytes, $location] = $this->request($at);
            if ($location === null || $status < 300 || $status > 399) {
                return [$at, $status, $type, $bytes, $at === $address ? null : $at];
            }
            try {
                $at = self::bare(Url::parse($location, Url::parse($at)));
            } catch (UrlError) {
                throw new FetchFailure(Trouble::Refused, "`$at` leads on to `$location`, which is not an address.");
            }
        }
        throw new FetchFailure(
            Trouble::RoundAndRound,
            "`$address` leads on from one address to the next, without end.",
        );
    }

    /**
     * @return array{int, string, string, string|null} status, type, bytes, and the header `Location`
     *
     * @throws FetchFailure
     */
    private function request(string $address): array
    {
        $this->requests++;
        $url = $this->rule->read($address);
        [$ip, $port, $scheme] = $this->rule->connect($url);
        $ip = str_contains($ip, ':') ? "[$ip]" : $ip;
        $host = (string) $url->host;
        $left = max(1, (int) min(self::LONGEST_FILE, $this->until - microtime(true)));
        $buffer = '';
        $sink = Utils::streamFor(fopen('php://temp', 'r+') ?: '');
        try {
            $response = Http::withOptions([
                'allow_redirects' => false,
                // No proxy: what was looked up is what is connected to.
                'proxy' => '',
                'connect_timeout' => self::LONGEST_CONNECT,
                'timeout' => $left,
                // A few packed bytes may come to any number of unpacked ones.
                'decode_content' => false,
                'sink' => $sink,
                'progress' => function (int|float $all, int|float $there) use ($address): void {
                    if (max($all, $there) > $this->limits->fileBytes) {
                        throw new FetchFailure(
                            Trouble::TooLarge,
                            "`$address` is larger than ".English::bytes($this->limits->fileBytes).'.',
                        );
                    }
                },
                'curl' => [
                    CURLOPT_CONNECT_TO => ["$host:".($url->port ?? '').":$ip:$port"],
                    CURLOPT_PROTOCOLS => CURLPROTO_HTTP | CURLPROTO_HTTPS,
                    CURLOPT_LOW_SPEED_LIMIT => 100,
                    CURLOPT_LOW_SPEED_TIME => 5,
                ],
            ])->withHeaders([
                'User-Agent' => 'Inked Margin, fetching a hand-in', 'Accept-Encoding' => 'identity',
            ])->get($scheme.substr($address, strlen($url->scheme)));
            $sink->rewind();
            $buffer = $sink->getContents();
        } catch (FetchFailure $failure) {
            throw $failure;
        } catch (\Throwable $error) {
            for ($cause = $error; $cause !== null; $cause = $cause->getPrevious()) {
                if ($cause instanceof FetchFailure) {
                    throw $cause;
                }
            }
            if ($error instanceof GuzzleException || $error instanceof \Illuminate\Http\Client\ConnectionException) {
                throw new FetchFailure(Trouble::NoAnswer, "The host `$host` does not answer.");
            }
            // What no server sends that keeps to the rules: one answer of many, which is passed over.
            if ($error instanceof \InvalidArgumentException || $error instanceof \ValueError) {
                throw new FetchFailure(Trouble::Refused, "The host `$host` sends an answer that cannot be read.");
            }
            throw $error;
        }
        if (strlen($buffer) > $this->limits->fileBytes) {
            throw new FetchFailure(
                Trouble::TooLarge,
                "`$address` is larger than ".English::bytes($this->limits->fileBytes).'.',
            );
        }

        // An address is in ASCII; what is not is meant as the bytes that it is (URL Standard, 4.4, as browsers do it).
        $location = preg_replace_callback(
            '/[^\x21-\x7e]/',
            fn (array $byte) => rawurlencode($byte[0]),
            $response->header('Location'),
        );

        return [$response->status(), $response->header('Content-Type'), $buffer, $location ?: null];
    }

    /**
     * What pages and stylesheets lead to in the site's own folder.
     *
     * @param  array<string, SourceFile>  $files
     * @return list<string>
     */
    private static function pathsIn(array $files, string $folder): array
    {
        $paths = [];
        foreach (ParsedSite::of(new Site('', $files))->references() as $reference) {
            $target = $reference->target;
            $path = $target->path;
            // Whether by http or by https, it is the same site.
            $address = $target->address === null ? '' : self::withoutScheme($target->address);
            if ($path === null && str_starts_with($address, self::withoutScheme($folder))) {
                $path = rawurldecode((string) strtok(substr($address, strlen(self::withoutScheme($folder))), '?#'));
            }
            if ($path !== null) {
                $paths[$path] = true;
            }
        }

        return array_map(strval(...), array_keys($paths));
    }

    private static function withoutScheme(string $address): string
    {
        return preg_replace('~^https?://~', '', $address) ?? $address;
    }

    /** The path of the file that a path asks for: of a folder its home page. */
    private static function fileOf(string $path): string
    {
        return $path === '' || str_ends_with($path, '/') ? $path.Site::HOME : $path;
    }

    private static function bare(Url $url): string
    {
        $port = $url->port === null ? '' : ":$url->port";

        return "$url->scheme://$url->host$port".($url->pathText() === '' ? '/' : $url->pathText())
            .($url->query === null ? '' : "?$url->query");
    }

    private static function nameOf(string $folder): string
    {
        $path = trim((string) parse_url($folder, PHP_URL_PATH), '/');

        return $path === '' ? (string) parse_url($folder, PHP_URL_HOST) : rawurldecode(basename($path));
    }
}

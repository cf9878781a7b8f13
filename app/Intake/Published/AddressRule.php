<?php

declare(strict_types=1);

namespace App\Intake\Published;

use InkedMargin\Core\Site\Url\Url;
use InkedMargin\Core\Site\Url\UrlError;

/**
 * Which addresses are fetched from: those of the public internet, by http and https, on their own ports. What a name
 * leads to is looked up once, and that is what is connected to, so that a second look-up cannot lead elsewhere.
 */
final readonly class AddressRule
{
    private const PORTS = ['http' => 80, 'https' => 443];

    /**
     * @param  \Closure(string): list<string>  $lookUp  IP addresses of a host name; none where it has none
     * @param  string|null  $standInHosts  pattern of host names that the stand-in serves, such as `*.wrenquay.example`
     * @param  string|null  $standIn  its IP address and port
     */
    public function __construct(
        private \Closure $lookUp,
        private ?string $standInHosts = null,
        private ?string $standIn = null,
    ) {
    }

    public static function ofConfig(): self
    {
        $standIn = config('margin.stand_in');

        return new self(
            self::fromDns(...),
            config()->string('margin.stand_in_hosts'),
            is_string($standIn) && $standIn !== '' ? $standIn : null,
        );
    }

    /**
     * @return Url the folder that an address stands for, with its slash
     *
     * @throws FetchFailure where it is none that others can open
     */
    public function read(string $address): Url
    {
        try {
            $url = Url::parse(trim($address));
        } catch (UrlError) {
            throw new FetchFailure(
                Trouble::NoAddress,
                "`$address` is not an address. One looks like `https://example.org/my-site/`.",
            );
        }
        if ($url->scheme === 'file') {
            throw self::ownMachine($address);
        }
        if (! isset(self::PORTS[$url->scheme]) || $url->host === null || $url->host === '') {
            throw new FetchFailure(
                Trouble::NoAddress,
                "`$address` is not the address of a page: it has to begin with `https://` or `http://`.",
            );
        }
        if ($url->username !== '' || $url->password !== '') {
            throw new FetchFailure(
                Trouble::NoAddress,
                'There is a name or password in the address. Take it out: others have to open it without.',
            );
        }

        return $url;
    }

    /**
     * @return array{string, int, string} the IP address that is connected to, the port, and the scheme that is spoken
     *     there
     *
     * @throws FetchFailure where it is not of the public internet
     */
    public function connect(Url $url): array
    {
        $host = trim((string) $url->host, '[]');
        if ($this->standIn !== null && $this->standInHosts !== null && fnmatch($this->standInHosts, $host)) {
            [$ip, $port] = explode(':', $this->standIn) + ['', '80'];

            // It has no certificates for hosts that do not exist.
            return [$ip, (int) $port, 'http'];
        }
        $port = $url->port ?? self::PORTS[$url->scheme] ?? 0;
        $isLiteral = filter_var($host, FILTER_VALIDATE_IP) !== false;
        if (
            $host === 'localhost'
            || str_ends_with($host, '.localhost')
            || str_ends_with($host, '.local')
            || (! $isLiteral && ! str_contains($host, '.'))
        ) {
            throw self::ownMachine((string) $url);
        }
        // Names that are nobody's are not asked for (RFC 6761).
        $isReserved = preg_match('/\.(?:example|test|invalid)$/', $host) === 1;
        $addresses = match (true) {
            $isLiteral => [$host],
            $isReserved => [],
            default => ($this->lookUp)($host),
        };
        if ($addresses === []) {
            throw new FetchFailure(Trouble::UnknownHost, "There is no host `$host`. Is the name spelled right?");
        }
        foreach ($addresses as $one) {
            if (! self::isPublic($one)) {
                throw self::ownMachine((string) $url);
            }
        }
        if ($port !== self::PORTS[$url->scheme]) {
            throw new FetchFailure(
                Trouble::NoAddress,
                "The address names port $port. A published site is reached without one.",
            );
        }

        return [$addresses[0], $port, $url->scheme];
    }

    /**
     * Whether an IP address is one that anybody on the internet can reach (RFC 6890 and the IANA registries it set up).
     */
    public static function isPublic(string $ip): bool
    {
        $bytes = @inet_pton($ip);
        if ($bytes === false) {
            return false;
        }
        if (strlen($bytes) === 16) {
            $start = bin2hex(substr($bytes, 0, 12));
            // IPv4 in IPv6: mapped, compatible, or translated (RFC 4291, RFC 6052); 6to4 has it further in front (RFC
            // 3056).
            $inner = match (true) {
                in_array(
                    $start,
                    ['00000000000000000000ffff', str_repeat('0', 24), '0064ff9b0000000000000000'],
                    true,
                ) => substr($bytes, 12),
                str_starts_with($start, '2002') => substr($bytes, 2, 4),
                default => null,
            };
            if ($inner !== null) {
                return self::isPublic((string) inet_ntop($inner));
            }
        }

        return ! SpecialAddresses::has($bytes);
    }

    private static function ownMachine(string $address): FetchFailure
    {
        return new FetchFailure(
            Trouble::OwnMachine,
            "`$address` is on a computer that others cannot reach, such as your own. Publish the site, and hand in its "
                .'address there.',
        );
    }

    /** @return list<string> */
    private static function fromDns(string $host): array
    {
        $records = @dns_get_record("$host.", DNS_A | DNS_AAAA) ?: [];
        $found = array_map(fn (array $record) => $record['ip'] ?? $record['ipv6'] ?? null, $records);

        return array_values(array_filter($found, is_string(...)));
    }
}

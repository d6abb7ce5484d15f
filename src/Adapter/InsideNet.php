<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Symfony\Component\HttpFoundation\IpUtils;

/**
 * Which addresses lie inside: this machine, its link, private networks (RFC 6890), in every spelling that resolvers and
 * clients know. Hosts that are to be reached there nevertheless are the administrator's setting,
 * UPPER_PANE_INSIDE_HOSTS: names or addresses, with commas between.
 */
final readonly class InsideNet
{
    /** Of IPv4, beside what PHP knows as private or reserved (RFC 6890, RFC 5771). */
    private const INSIDE = ['100.64.0.0/10', '192.0.0.0/24', '192.0.2.0/24', '198.18.0.0/15', '224.0.0.0/4'];

    /** @var list<string> */
    private array $allowed;

    /** @var \Closure(string): list<string> */
    private \Closure $resolve;

    /** @param ?\Closure(string): list<string> $resolve addresses of a name; the system's when not given */
    public function __construct(string $allowed = '', ?\Closure $resolve = null)
    {
        $this->allowed = array_values(array_filter(array_map(
            static fn (string $host) => strtolower(trim($host)),
            explode(',', $allowed),
        )));
        $this->resolve = $resolve ?? self::resolved(...);
    }

    /** @return ?string the address to connect to; null when the host, or any of its addresses, lies inside */
    public function outsideOf(string $host): ?string
    {
        $host = strtolower(rtrim(trim($host, '[]'), '.'));
        $addresses = filter_var($host, \FILTER_VALIDATE_IP) === false ? ($this->resolve)($host) : [$host];
        if ($addresses === []) {
            return null;
        }
        if (in_array($host, $this->allowed, true)) {
            return $addresses[0];
        }
        foreach ($addresses as $address) {
            if (!self::isOutside($address)) {
                return null;
            }
        }

        return $addresses[0];
    }

    public static function isOutside(string $address): bool
    {
        $bytes = @inet_pton($address);
        if ($bytes === false) {
            return false;
        }
        // IPv4 in IPv6: mapped (RFC 4291 §2.5.5), translated (RFC 6052), 6to4 (RFC 3056), Teredo lies inside 2001::/32.
        if (strlen($bytes) === 16) {
            $inner = match (true) {
                str_starts_with($bytes, str_repeat("\0", 10)."\xFF\xFF"),
                str_starts_with($bytes, str_repeat("\0", 12)),
                str_starts_with($bytes, "\x00\x64\xFF\x9B".str_repeat("\0", 8)) => substr($bytes, 12),
                str_starts_with($bytes, "\x20\x02") => substr($bytes, 2, 4),
                default => null,
            };
            $global = (ord($bytes[0]) & 0xE0) === 0x20
                && !str_starts_with($bytes, "\x20\x01\x00\x00")
                && !str_starts_with($bytes, "\x20\x01\x0D\xB8");

            return $inner === null ? $global : self::isOutside((string) inet_ntop($inner));
        }

        return filter_var(
            $address,
            \FILTER_VALIDATE_IP,
            \FILTER_FLAG_IPV4 | \FILTER_FLAG_NO_PRIV_RANGE | \FILTER_FLAG_NO_RES_RANGE,
        ) !== false
            && !IpUtils::checkIp($address, self::INSIDE);
    }

    /**
     * As the system's resolver has them, which knows decimal, octal, hexadecimal and short spellings too.
     *
     * @return list<string>
     */
    private static function resolved(string $host): array
    {
        $addresses = [];
        foreach (@socket_addrinfo_lookup($host, null, ['ai_socktype' => \SOCK_STREAM]) ?: [] as $found) {
            $at = socket_addrinfo_explain($found)['ai_addr'];
            $addresses[] = (string) ($at['sin_addr'] ?? $at['sin6_addr'] ?? '');
        }

        return array_values(array_unique(array_filter($addresses)));
    }
}

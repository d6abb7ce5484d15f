<?php

declare(strict_types=1);

namespace UpperPane\Core\Web;

/** Scheme, host and port of an address (RFC 6454 §4); the port is always said. */
final readonly class Origin
{
    private const PORTS = ['http' => 80, 'https' => 443];

    private function __construct(public string $scheme, public string $host, public int $port)
    {
    }

    /** @return ?self null when it is no address of http or https */
    public static function of(string $address): ?self
    {
        $parts = parse_url($address);
        $scheme = strtolower($parts['scheme'] ?? '');
        $host = strtolower($parts['host'] ?? '');

        return !isset(self::PORTS[$scheme]) || $host === ''
            ? null
            : new self($scheme, $host, $parts['port'] ?? self::PORTS[$scheme]);
    }

    public function equals(self $other): bool
    {
        return [$this->scheme, $this->host, $this->port] === [$other->scheme, $other->host, $other->port];
    }

    public function hasDefaultPort(): bool
    {
        return self::PORTS[$this->scheme] === $this->port;
    }
}

<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Session;

use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;

/** Where a sign-in comes from: the network, and a browser that its person has signed in with before. */
final readonly class Visitor
{
    public const COOKIE = 'upper_pane_known';
    private const KNOWN_DAYS = 400;

    private function __construct(public string $address, public string $browser, public string $agent)
    {
    }

    public static function of(Request $request): self
    {
        $token = $request->cookies->getString(self::COOKIE);

        return new self(
            (string) $request->getClientIp(),
            preg_match('/^[0-9a-f]{48}$/D', $token) === 1 ? $token : '',
            mb_scrub(mb_substr((string) $request->headers->get('User-Agent'), 0, 200)),
        );
    }

    /** JSON from our own pages: nothing that another site's form or script can send. */
    public static function comesFromUs(Request $request): bool
    {
        $origin = $request->headers->get('Origin');

        return $origin === null || $origin === $request->getSchemeAndHttpHost();
    }

    public static function remembered(string $token, bool $secure): Cookie
    {
        return Cookie::create(
            self::COOKIE,
            $token,
            time() + 86_400 * self::KNOWN_DAYS,
            '/',
            null,
            $secure,
            true,
            false,
            'lax',
        );
    }
}

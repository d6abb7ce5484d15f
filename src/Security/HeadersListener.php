<?php

declare(strict_types=1);

namespace UpperPane\App\Security;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/**
 * The headers every answer carries: a strict Content-Security-Policy and its kin. config/servers/headers.conf sets
 * the same on what nginx answers itself.
 */
#[AsEventListener]
final class HeadersListener
{
    public const POLICY =
        "default-src 'self'; ".
        "script-src 'self'; ".
        "style-src 'self'; ".
        "style-src-attr 'unsafe-inline'; ".
        "img-src 'self' blob: data:; ".
        "media-src 'self' blob: http: https:; ".
        "connect-src 'self'; ".
        "font-src 'self' data:; ".
        "frame-src 'self' http: https:; ".
        "worker-src 'self'; ".
        "object-src 'none'; ".
        "base-uri 'none'; ".
        "form-action 'self'; ".
        "frame-ancestors 'self'";

    /** A player asks whether a page of others is there before it shows it, and reads streams piece by piece. */
    public static function ofPlayers(): string
    {
        return str_replace("connect-src 'self'", "connect-src 'self' http: https:", self::POLICY);
    }

    public function __invoke(ResponseEvent $event): void
    {
        $headers = $event->getResponse()->headers;
        $isPlayers = str_starts_with($event->getRequest()->getPathInfo(), '/play/');
        // A stored page brings a sandbox of its own.
        if (!$headers->has('Content-Security-Policy')) {
            $headers->set('Content-Security-Policy', $isPlayers ? self::ofPlayers() : self::POLICY);
        }
        $headers->set('X-Content-Type-Options', 'nosniff');
        $headers->set('Referrer-Policy', 'same-origin');
        $headers->set('X-Frame-Options', 'SAMEORIGIN');
        $headers->set('Cross-Origin-Resource-Policy', 'same-origin');
        if (
            !$headers->has('Cache-Control')
            || $event->getResponse()->getStatusCode() >= 400
            || str_starts_with($event->getRequest()->getPathInfo(), '/api/')
        ) {
            $headers->set('Cache-Control', 'no-store');
        }
    }
}

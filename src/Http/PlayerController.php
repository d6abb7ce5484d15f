<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Problem\Problem;
use UpperPane\App\UseCase\Player\PairPlayer;
use UpperPane\App\UseCase\Player\TakeProof;
use UpperPane\App\UseCase\Surface\Wire;

/** What a player calls: the time, pairing, its proof. Everything else it needs are static files. */
final class PlayerController
{
    #[Route('/api/time', 'time', methods: ['GET'])]
    public function time(ShiftedClock $clock): JsonResponse
    {
        return new JsonResponse(['now_ms' => $clock->nowMs(), 'frozen' => $clock->isFrozen()]);
    }

    /**
     * Public, as it is on a wall that anyone can look at: a panel's name and its player's, nothing that is shown there.
     */
    #[Route('/api/play/{code}/cards/{number}', 'play_card', requirements: ['number' => '\d{1,2}'], methods: ['GET'])]
    public function card(string $code, int $number, Wire $wire): Response
    {
        return new Response($wire->card($code, $number), 200, [
            'Content-Type' => 'image/svg+xml',
            'Cache-Control' => 'no-cache',
        ]);
    }

    /** Public, as it is on a wall: the address of the player's card, which asks who looks at it to sign in. */
    #[Route('/api/play/{code}/qr', 'play_qr', methods: ['GET'])]
    public function qr(string $code, Request $request, PairPlayer $pairing): Response
    {
        return new Response($pairing->door($code, $request->getSchemeAndHttpHost()), 200, [
            'Content-Type' => 'image/svg+xml',
            'Cache-Control' => 'public, max-age=3600',
        ]);
    }

    #[Route('/api/play/{code}/pair', 'play_pair', methods: ['POST'])]
    public function pair(string $code, Request $request, PairPlayer $pairing): JsonResponse
    {
        return new JsonResponse($pairing->ask($code, self::token($request), (string) $request->getClientIp()));
    }

    #[Route('/api/play/{code}/proof', 'play_proof', methods: ['POST'])]
    public function proof(string $code, Request $request, TakeProof $take): Response
    {
        return $take($code, self::token($request), Body::of($request))
            ? new Response(null, 204)
            : Problem::response(401, 'pairing.token');
    }

    private static function token(Request $request): string
    {
        // RFC 6750 §2.1; the scheme's letters may be of either case (RFC 9110 §11.1).
        $said = (string) $request->headers->get('Authorization');

        return preg_match('/^Bearer +(\S+)$/Di', $said, $found) === 1 ? $found[1] : '';
    }
}

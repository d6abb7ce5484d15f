<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\Problem\Problem;
use UpperPane\App\Security\PasswordAuthenticator;
use UpperPane\App\UseCase\Session\Sessions;
use UpperPane\App\UseCase\Session\ShowMe;

/** Who is signed in. Signing in itself is done by {@see PasswordAuthenticator}. */
final class SessionController
{
    /** The route that {@see PasswordAuthenticator} answers before this is reached. */
    #[Route('/api/session', 'session_start', methods: ['POST'])]
    public function start(): Response
    {
        return Problem::response(401, 'session.needed');
    }

    /** Open to all, so that a page can ask who is signed in without being refused. */
    #[Route('/api/me', 'me', methods: ['GET'])]
    public function me(Request $request, #[CurrentUser] ?Person $person, ShowMe $show): JsonResponse
    {
        return new JsonResponse($show($person, (string) $request->getSession()->get(PasswordAuthenticator::CSRF)));
    }

    #[Route('/api/me/sessions', 'session_list', methods: ['GET'])]
    public function sessions(Request $request, #[CurrentUser] Person $person, Sessions $sessions): JsonResponse
    {
        return new JsonResponse(['sessions' => $sessions->of($person, $request->getSession()->getId())]);
    }

    #[Route('/api/me/sessions/{name}', 'session_end_other', methods: ['DELETE'])]
    public function endOther(string $name, #[CurrentUser] Person $person, Sessions $sessions): Response
    {
        $sessions->end($name, $person);

        return new Response(null, Response::HTTP_NO_CONTENT);
    }

    #[Route('/api/session', 'session_end', methods: ['DELETE'])]
    public function end(Request $request): Response
    {
        $request->getSession()->invalidate();

        return new Response(null, Response::HTTP_NO_CONTENT);
    }
}

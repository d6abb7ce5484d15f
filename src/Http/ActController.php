<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Act\ShowActs;
use UpperPane\App\UseCase\Act\TakeAct;

/** What goes to players at once. */
final class ActController
{
    #[Route('/api/sites/{site}/acts', 'acts', methods: ['GET'])]
    public function show(string $site, #[CurrentUser] Person $person, ShowActs $show): JsonResponse
    {
        return new JsonResponse($show($site, $person));
    }

    #[Route('/api/sites/{site}/acts', 'act_take', methods: ['POST'])]
    public function take(string $site, Request $request, #[CurrentUser] Person $person, TakeAct $take): JsonResponse
    {
        return new JsonResponse($take($site, Body::of($request), $person), 201);
    }

    #[Route('/api/acts/{id}/clear', 'act_clear', methods: ['POST'])]
    public function clear(string $id, #[CurrentUser] Person $person, TakeAct $take): Response
    {
        $take->clear($id, $person);

        return new Response(null, 204);
    }
}

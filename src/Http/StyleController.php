<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Design\ShowPlans;
use UpperPane\App\UseCase\Style\CreateStyle;
use UpperPane\App\UseCase\Style\StyleList;
use UpperPane\App\UseCase\Style\StyleTokens;

final class StyleController
{
    #[Route('/api/sites/{site}/styles', 'styles', methods: ['GET'])]
    public function list(string $site, #[CurrentUser] Person $person, StyleList $list): JsonResponse
    {
        return new JsonResponse($list($site, $person));
    }

    #[Route('/api/sites/{site}/styles', 'style_create', methods: ['POST'])]
    public function create(
        string $site,
        Request $request,
        #[CurrentUser] Person $person,
        CreateStyle $create,
    ): JsonResponse {
        return new JsonResponse($create($site, Body::of($request), $person), 201);
    }

    #[Route('/api/styles/{id}/tokens', 'style_tokens', methods: ['GET'])]
    public function tokens(string $id, #[CurrentUser] Person $person, StyleTokens $tokens): JsonResponse
    {
        return new JsonResponse($tokens->file($id, $person));
    }

    #[Route('/api/styles/{id}/tokens', 'style_tokens_take', methods: ['POST'])]
    public function take(
        string $id,
        Request $request,
        #[CurrentUser] Person $person,
        StyleTokens $tokens,
    ): JsonResponse {
        return new JsonResponse($tokens->take($id, Body::of($request), $person));
    }

    /** A design as several house styles would have it. */
    #[Route('/api/designs/{id}/styled', 'design_styled', methods: ['GET'])]
    public function styled(string $id, Request $request, #[CurrentUser] Person $person, ShowPlans $plans): JsonResponse
    {
        $ids = explode(',', $request->query->getString('styles'));

        return new JsonResponse($plans->styled($id, $ids, $person));
    }
}

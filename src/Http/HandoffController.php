<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Handoff\HandOver;
use UpperPane\App\UseCase\Handoff\MakeRelease;
use UpperPane\App\UseCase\Handoff\ShowHandOff;
use UpperPane\App\UseCase\Player\PairPlayer;
use UpperPane\App\UseCase\Player\ShowPlayer;

/** Releases, and what each surface is given. */
final class HandoffController
{
    #[Route('/api/designs/{id}/releases', 'design_releases', methods: ['GET'])]
    public function releases(string $id, #[CurrentUser] Person $person, ShowHandOff $show): JsonResponse
    {
        return new JsonResponse($show->ofDesign($id, $person));
    }

    #[Route('/api/designs/{id}/releases', 'release_make', methods: ['POST'])]
    public function release(
        string $id,
        Request $request,
        #[CurrentUser] Person $person,
        MakeRelease $make,
    ): JsonResponse {
        return new JsonResponse($make($id, Body::of($request), $person), 201);
    }

    #[Route('/api/releases/{release}/plan', 'release_plan', requirements: ['release' => '\d{1,9}'], methods: ['GET'])]
    public function plan(int $release, Request $request, #[CurrentUser] Person $person, ShowHandOff $show): Response
    {
        return new JsonResponse($show->plan($release, $request->query->getString('surface'), $person));
    }

    #[Route('/api/sites/{site}/hand-off', 'hand_off', methods: ['GET'])]
    public function show(string $site, #[CurrentUser] Person $person, ShowHandOff $show): JsonResponse
    {
        return new JsonResponse($show($site, $person));
    }

    #[Route('/api/surfaces/{code}/hand-off', 'hand_off_give', methods: ['POST'])]
    public function give(
        string $code,
        Request $request,
        #[CurrentUser] Person $person,
        HandOver $handOver,
    ): JsonResponse {
        return new JsonResponse($handOver($code, Body::of($request), $person));
    }

    #[Route('/api/players/{code}', 'player', methods: ['GET'])]
    public function player(string $code, #[CurrentUser] Person $person, ShowPlayer $show): JsonResponse
    {
        return new JsonResponse($show($code, $person));
    }

    #[Route('/api/players/{code}/pairing', 'player_pair', methods: ['POST'])]
    public function pair(string $code, Request $request, #[CurrentUser] Person $person, PairPlayer $pairing): Response
    {
        $pairing->admit($code, Body::of($request), $person);

        return new Response(null, Response::HTTP_NO_CONTENT);
    }
}

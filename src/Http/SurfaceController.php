<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Surface\MakeSurface;
use UpperPane\App\UseCase\Surface\ShowEffects;
use UpperPane\App\UseCase\Surface\ShowSurface;
use UpperPane\App\UseCase\Surface\Wire;

/** Surfaces: made, read, tried with another shape, wired. Their sheets are documents like all others. */
final readonly class SurfaceController
{
    public function __construct(private ShowSurface $show)
    {
    }

    #[Route('/api/sites/{site}/surfaces', 'surface_make', methods: ['POST'])]
    public function make(string $site, Request $request, #[CurrentUser] Person $person, MakeSurface $make): JsonResponse
    {
        return new JsonResponse($make($site, Body::of($request), $person), 201);
    }

    #[Route('/api/surfaces/{surface}', 'surface_show', methods: ['GET'])]
    public function show(string $surface, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse($this->show->byCode($surface, $person));
    }

    #[Route('/api/surfaces/{surface}/duplicate', 'surface_duplicate', methods: ['POST'])]
    public function duplicate(
        string $surface,
        Request $request,
        #[CurrentUser] Person $person,
        MakeSurface $make,
    ): JsonResponse {
        return new JsonResponse($make->duplicate($surface, Body::of($request), $person), 201);
    }

    #[Route('/api/surfaces/{surface}/effects', 'surface_effects', methods: ['POST'])]
    public function effects(
        string $surface,
        Request $request,
        #[CurrentUser] Person $person,
        ShowEffects $effects,
    ): JsonResponse {
        return new JsonResponse($effects($surface, Body::of($request), $person));
    }

    #[Route('/api/surfaces/{surface}/wire', 'surface_wire', methods: ['POST'])]
    public function wire(string $surface, Request $request, #[CurrentUser] Person $person, Wire $wire): JsonResponse
    {
        return new JsonResponse($wire($surface, Body::of($request), $person));
    }
}

<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Surface\ChangeSurface;
use UpperPane\App\UseCase\Surface\MakeSurface;
use UpperPane\App\UseCase\Surface\ShowEffects;
use UpperPane\App\UseCase\Surface\ShowSurface;
use UpperPane\App\UseCase\Surface\UndoChange;
use UpperPane\App\UseCase\Surface\Wire;

/** Surfaces: made, read, changed field by field, taken back, wired. */
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
        return new JsonResponse($this->show->whole($surface, $person));
    }

    #[Route('/api/surfaces/{surface}/duplicate', 'surface_duplicate', methods: ['POST'])]
    public function duplicate(string $surface, Request $request, #[CurrentUser] Person $person, MakeSurface $make): JsonResponse
    {
        return new JsonResponse($make->duplicate($surface, Body::of($request), $person), 201);
    }

    #[Route('/api/surfaces/{surface}/changes', 'surface_change', methods: ['POST'])]
    public function change(string $surface, Request $request, #[CurrentUser] Person $person, ChangeSurface $change): JsonResponse
    {
        $change($surface, Body::of($request), $person);

        return $this->show($surface, $person);
    }

    #[Route('/api/surfaces/{surface}/undo', 'surface_undo', methods: ['POST'])]
    public function undo(string $surface, #[CurrentUser] Person $person, UndoChange $undo): JsonResponse
    {
        $undo($surface, $person, false);

        return $this->show($surface, $person);
    }

    #[Route('/api/surfaces/{surface}/redo', 'surface_redo', methods: ['POST'])]
    public function redo(string $surface, #[CurrentUser] Person $person, UndoChange $undo): JsonResponse
    {
        $undo($surface, $person, true);

        return $this->show($surface, $person);
    }

    #[Route('/api/surfaces/{surface}/effects', 'surface_effects', methods: ['POST'])]
    public function effects(string $surface, Request $request, ShowEffects $effects): JsonResponse
    {
        return new JsonResponse($effects($surface, Body::of($request)));
    }

    #[Route('/api/surfaces/{surface}/wire', 'surface_wire', methods: ['POST'])]
    public function wire(string $surface, Request $request, Wire $wire): JsonResponse
    {
        return new JsonResponse($wire($surface, Body::of($request)));
    }

    #[Route('/api/surfaces/{surface}/players', 'player_add', methods: ['POST'])]
    public function addPlayer(string $surface, Request $request, #[CurrentUser] Person $person, Wire $wire): JsonResponse
    {
        return new JsonResponse($wire->addPlayer($surface, Body::of($request), $person), 201);
    }

    #[Route('/api/players/{code}/outputs', 'player_outputs', methods: ['POST'])]
    public function outputs(string $code, Request $request, #[CurrentUser] Person $person, Wire $wire): Response
    {
        $wire->outputs($code, Body::of($request), $person);

        return new Response(null, 204);
    }
}

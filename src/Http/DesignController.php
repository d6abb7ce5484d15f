<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Design\CreateDesign;
use UpperPane\App\UseCase\Design\EditDesign;
use UpperPane\App\UseCase\Design\ShowDesign;
use UpperPane\App\UseCase\Design\UndoEdit;
use UpperPane\App\UseCase\Design\UndoStack;

/** Designs: made, read, edited by batches of commands, undone and redone. */
final readonly class DesignController
{
    public function __construct(private ShowDesign $show)
    {
    }

    #[Route('/api/surfaces/{surface}/designs', 'design_create', methods: ['POST'])]
    public function create(string $surface, Request $request, #[CurrentUser] Person $person, CreateDesign $create): JsonResponse
    {
        return new JsonResponse($create($surface, Body::of($request), $person), 201);
    }

    #[Route('/api/designs/{id}', 'design_show', methods: ['GET'])]
    public function show(string $id, Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        $layout = $request->query->getString('layout');

        return new JsonResponse($this->show->whole($id, $person, $layout === '' ? null : $layout));
    }

    #[Route('/api/designs/{id}/plan', 'design_plan', methods: ['GET'])]
    public function plan(string $id, Request $request): JsonResponse
    {
        $surface = $request->query->getString('surface');

        return new JsonResponse($this->show->plan($id, $surface === '' ? null : $surface));
    }

    #[Route('/api/designs/{id}/plans', 'design_plans', methods: ['GET'])]
    public function plans(string $id, Request $request): JsonResponse
    {
        return new JsonResponse($this->show->plans($id, explode(',', $request->query->getString('surfaces'))));
    }

    #[Route('/api/designs/{id}/moment/{tMs}', 'design_moment', requirements: ['tMs' => '\d{1,15}'], methods: ['GET'])]
    public function moment(string $id, int $tMs): JsonResponse
    {
        return new JsonResponse($this->show->moment($id, $tMs));
    }

    #[Route('/api/designs/{id}/revisions', 'design_history', methods: ['GET'])]
    public function history(string $id): JsonResponse
    {
        return new JsonResponse($this->show->history($id));
    }

    #[Route('/api/designs/{id}/batches', 'design_edit', methods: ['POST'])]
    public function edit(string $id, Request $request, #[CurrentUser] Person $person, EditDesign $edit): JsonResponse
    {
        return new JsonResponse($edit($id, Body::of($request), $person));
    }

    #[Route('/api/designs/{id}/undo', 'design_undo', methods: ['POST'])]
    public function undo(string $id, Request $request, #[CurrentUser] Person $person, UndoEdit $undo): JsonResponse
    {
        return new JsonResponse($undo($id, Body::of($request), $person, UndoStack::UNDO));
    }

    #[Route('/api/designs/{id}/redo', 'design_redo', methods: ['POST'])]
    public function redo(string $id, Request $request, #[CurrentUser] Person $person, UndoEdit $undo): JsonResponse
    {
        return new JsonResponse($undo($id, Body::of($request), $person, UndoStack::REDO));
    }
}

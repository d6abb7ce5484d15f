<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Document\EditDocument;
use UpperPane\App\UseCase\Document\MendDocument;
use UpperPane\App\UseCase\Document\RemoveDocument;
use UpperPane\App\UseCase\Document\ShowDocument;
use UpperPane\App\UseCase\Document\UndoDocument;
use UpperPane\App\UseCase\Document\View;
use UpperPane\Core\Change\Nature;

/** Documents of every kind: read, edited by batches of commands, taken back, done again, looked back at. */
final readonly class DocumentController
{
    public function __construct(private ShowDocument $show)
    {
    }

    #[Route('/api/documents/{id}', 'document_show', methods: ['GET'])]
    public function show(string $id, Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        $view = new View($request->query->getString('scene'), $request->query->getString('layout') === 'turned');

        return new JsonResponse($this->show->whole($id, $person, $view));
    }

    #[Route('/api/documents/{id}/batches', 'document_edit', methods: ['POST'])]
    public function edit(string $id, Request $request, #[CurrentUser] Person $person, EditDocument $edit): JsonResponse
    {
        return new JsonResponse($edit($id, Body::of($request), $person));
    }

    #[Route('/api/documents/{id}/undo', 'document_undo', methods: ['POST'])]
    public function undo(string $id, Request $request, #[CurrentUser] Person $person, UndoDocument $undo): JsonResponse
    {
        return new JsonResponse($undo($id, Body::of($request), $person, Nature::Undo));
    }

    #[Route('/api/documents/{id}/redo', 'document_redo', methods: ['POST'])]
    public function redo(string $id, Request $request, #[CurrentUser] Person $person, UndoDocument $undo): JsonResponse
    {
        return new JsonResponse($undo($id, Body::of($request), $person, Nature::Redo));
    }

    #[Route('/api/documents/{id}/mend', 'document_mend', methods: ['POST'])]
    public function mend(string $id, Request $request, #[CurrentUser] Person $person, MendDocument $mend): JsonResponse
    {
        return new JsonResponse($mend($id, Body::of($request), $person));
    }

    #[Route('/api/documents/{id}/uses', 'document_uses', methods: ['GET'])]
    public function uses(string $id, #[CurrentUser] Person $person, RemoveDocument $remove): JsonResponse
    {
        return new JsonResponse($remove->uses($id, $person));
    }

    #[Route('/api/documents/{id}', 'document_remove', methods: ['DELETE'])]
    public function remove(string $id, #[CurrentUser] Person $person, RemoveDocument $remove): Response
    {
        $remove->remove($id, $person);

        return new Response(status: 204);
    }

    #[Route('/api/documents/{id}/back', 'document_back', methods: ['POST'])]
    public function back(string $id, #[CurrentUser] Person $person, RemoveDocument $remove): Response
    {
        $remove->bringBack($id, $person);

        return new Response(status: 204);
    }

    #[Route('/api/sites/{site}/removed', 'documents_removed', methods: ['GET'])]
    public function removed(string $site, #[CurrentUser] Person $person, RemoveDocument $remove): JsonResponse
    {
        return new JsonResponse($remove->list($site, $person));
    }

    #[Route('/api/documents/{id}/revisions', 'document_history', methods: ['GET'])]
    public function history(string $id, Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        $before = $request->query->getInt('before');

        return new JsonResponse($this->show->history($id, $before > 0 ? $before : \PHP_INT_MAX, $person));
    }

    #[Route(
            '/api/documents/{id}/since/{revision}',
            'document_since',
            requirements: ['revision' => '\d{1,9}'],
            methods: ['GET'],
        ),]
    public function since(
        string $id,
        int $revision,
        Request $request,
        #[CurrentUser] Person $person,
    ): JsonResponse {
        return new JsonResponse($this->show->since($id, $revision, $request->query->getString('spot'), $person));
    }
}

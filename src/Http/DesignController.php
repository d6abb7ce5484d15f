<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Design\BriefSheets;
use UpperPane\App\UseCase\Design\CreateDesign;
use UpperPane\App\UseCase\Design\FindDesigns;
use UpperPane\App\UseCase\Design\ListPlaylists;
use UpperPane\App\UseCase\Design\LookBack;
use UpperPane\App\UseCase\Design\SaveStarter;
use UpperPane\App\UseCase\Design\ShowMoment;
use UpperPane\App\UseCase\Design\ShowPlans;

/** Designs: made, and seen as plans. */
final readonly class DesignController
{
    public function __construct(private ShowPlans $plans)
    {
    }

    #[Route('/api/surfaces/{surface}/designs', 'design_create', methods: ['POST'])]
    public function create(
        string $surface,
        Request $request,
        #[CurrentUser] Person $person,
        CreateDesign $create,
    ): JsonResponse {
        return new JsonResponse($create->onSurface($surface, Body::of($request), $person), 201);
    }

    #[Route('/api/sites/{site}/designs', 'design_create_size', methods: ['POST'])]
    public function createForSize(
        string $site,
        Request $request,
        #[CurrentUser] Person $person,
        CreateDesign $create,
    ): JsonResponse {
        return new JsonResponse($create->forSize($site, Body::of($request), $person), 201);
    }

    #[Route('/api/sites/{site}/playlists', 'playlist_create', methods: ['POST'])]
    public function createPlaylist(
        string $site,
        Request $request,
        #[CurrentUser] Person $person,
        CreateDesign $create,
    ): JsonResponse {
        return new JsonResponse($create->playlist($site, Body::of($request), $person), 201);
    }

    #[Route('/api/sites/{site}/playlists', 'playlists', methods: ['GET'])]
    public function playlists(string $site, #[CurrentUser] Person $person, ListPlaylists $list): JsonResponse
    {
        return new JsonResponse($list($site, $person));
    }

    #[Route('/api/sites/{site}/designs/smil', 'design_create_smil', methods: ['POST'])]
    public function createFromSmil(
        string $site,
        Request $request,
        #[CurrentUser] Person $person,
        CreateDesign $create,
    ): JsonResponse {
        return new JsonResponse($create->fromSmil($site, Body::of($request), $person), 201);
    }

    #[Route('/api/designs/{id}/starters', 'starter_save', methods: ['POST'])]
    public function starter(string $id, Request $request, #[CurrentUser] Person $person, SaveStarter $save): Response
    {
        return new JsonResponse($save($id, Body::of($request), $person));
    }

    #[Route('/api/designs/{id}/duplicate', 'design_duplicate', methods: ['POST'])]
    public function duplicate(
        string $id,
        Request $request,
        #[CurrentUser] Person $person,
        CreateDesign $create,
    ): JsonResponse {
        return new JsonResponse($create->duplicate($id, Body::of($request), $person), 201);
    }

    #[Route('/api/sites/{site}/designs', 'designs', methods: ['GET'])]
    public function find(
        string $site,
        Request $request,
        #[CurrentUser] Person $person,
        FindDesigns $find,
    ): JsonResponse {
        $asked = $request->query;
        $page = max(0, min(100_000, $asked->getInt('page')));

        return new JsonResponse(
            $find($site, $asked->getString('find'), $asked->getBoolean('archived'), $page, $person),
        );
    }

    #[Route('/api/designs/{id}/plan', 'design_plan', methods: ['GET'])]
    public function plan(string $id, Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        $surface = $request->query->getString('surface');

        return new JsonResponse($this->plans->one($id, $surface === '' ? null : $surface, $person));
    }

    #[Route('/api/designs/{id}/plans', 'design_plans', methods: ['GET'])]
    public function plans(string $id, Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse(
            $this->plans->several($id, explode(',', $request->query->getString('surfaces')), $person),
        );
    }

    #[Route('/api/designs/{id}/moment', 'design_moment', methods: ['GET'])]
    public function moment(
        string $id,
        Request $request,
        #[CurrentUser]
        Person $person,
        ShowMoment $moments,
    ): JsonResponse {
        return new JsonResponse($moments->at($id, $request->query->all(), $person));
    }

    #[Route(
            '/api/designs/{id}/revisions/{revision}',
            'design_past',
            requirements: ['revision' => '\d{1,9}'],
            methods: ['GET'],
        ),]
    public function past(string $id, int $revision, #[CurrentUser] Person $person, LookBack $back): JsonResponse
    {
        return new JsonResponse($back->show($id, $revision, $person));
    }

    #[Route('/api/designs/{id}/restore', 'design_restore', methods: ['POST'])]
    public function restore(string $id, Request $request, #[CurrentUser] Person $person, LookBack $back): JsonResponse
    {
        return new JsonResponse($back->restore($id, Body::of($request), $person));
    }

    #[Route(
            '/api/designs/{id}/sheet.{kind}',
            'design_sheet',
            requirements: ['kind' => 'pdf|csv|svg|smil'],
            methods: ['GET'],
        ),]
    public function sheet(
        string $id,
        string $kind,
        Request $request,
        #[CurrentUser] Person $person,
        BriefSheets $sheets,
    ): Response {
        [$file, $name] = $sheets->file($id, $kind, $request->query->getString('scene'), $person);

        return new Response($file, 200, [
            'Content-Type' => BriefSheets::KINDS[$kind],
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }
}

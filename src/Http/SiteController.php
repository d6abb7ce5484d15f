<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Adapter\FontLibrary;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Site\ShowElevation;

final class SiteController
{
    #[Route('/api/sites/{site}/elevation', 'elevation', methods: ['GET'])]
    public function elevation(string $site, #[CurrentUser] Person $person, ShowElevation $show): JsonResponse
    {
        return new JsonResponse($show($site, $person));
    }

    #[Route('/api/fonts', 'fonts', methods: ['GET'])]
    public function fonts(FontLibrary $fonts): JsonResponse
    {
        return new JsonResponse(['fonts' => $fonts->manifest()]);
    }
}

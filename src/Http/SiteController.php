<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Design\TakeMeasures;
use UpperPane\App\UseCase\Site\ListFonts;
use UpperPane\App\UseCase\Site\ReadHours;
use UpperPane\App\UseCase\Site\ShowElevation;

final class SiteController
{
    #[Route('/api/sites/{site}/elevation', 'elevation', methods: ['GET'])]
    public function elevation(string $site, #[CurrentUser] Person $person, ShowElevation $show): JsonResponse
    {
        return new JsonResponse($show($site, $person));
    }

    /** What a browser measured of lines. */
    #[Route('/api/sites/{site}/measures', 'site_measures', methods: ['POST'])]
    public function measures(
        string $site,
        Request $request,
        #[CurrentUser] Person $person,
        TakeMeasures $take,
    ): JsonResponse {
        return new JsonResponse($take($site, Body::of($request), $person));
    }

    /** Days and hours from a sentence. */
    #[Route('/api/sites/{site}/when', 'site_when', methods: ['GET'])]
    public function when(
        string $site,
        Request $request,
        #[CurrentUser] Person $person,
        ReadHours $read,
    ): JsonResponse {
        return new JsonResponse($read($site, $request->query->getString('words'), $person));
    }

    /** The app's and the site's own. */
    #[Route('/api/sites/{site}/fonts', 'site_fonts', methods: ['GET'])]
    public function fonts(string $site, #[CurrentUser] Person $person, ListFonts $list): JsonResponse
    {
        return new JsonResponse($list($site, $person));
    }
}

<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use UpperPane\App\UseCase\Surface\Particulars;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Surface\Edid;
use UpperPane\Core\Surface\PanelFigures;
use UpperPane\Core\Surface\StandardModes;
use UpperPane\Core\Surface\SurfaceReader;

/** The core's answers while a surface is being described: nothing is stored. */
final class DisplayController
{
    /** For whom reading distances are given while nobody has said how far viewers stand: 10 m. */
    private const USUAL_FARTHEST_MM = 10_000;

    #[Route('/api/modes', 'modes', methods: ['GET'])]
    public function modes(): JsonResponse
    {
        return new JsonResponse(['modes' => StandardModes::all()]);
    }

    #[Route('/api/figures', 'figures', methods: ['POST'])]
    public function figures(Request $request): JsonResponse
    {
        return new JsonResponse(['figures' => PanelFigures::parse(Body::of($request))?->toArray()]);
    }

    #[Route('/api/shapes', 'shape_resolve', methods: ['POST'])]
    public function shape(Request $request): JsonResponse
    {
        return new JsonResponse(Particulars::of(SurfaceReader::read(Body::of($request)), self::USUAL_FARTHEST_MM));
    }

    /** The body is the file itself; no more of it is read than an EDID can have. */
    #[Route('/api/edid', 'edid', methods: ['POST'])]
    public function edid(Request $request): JsonResponse
    {
        /** @var resource $stream */
        $stream = $request->getContent(true);
        $edid = Edid::read((string) stream_get_contents($stream, Edid::LARGEST_BYTES + 1));

        return new JsonResponse(
            $edid->toArray() + [
                'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $edid->findings()),
            ],
        );
    }
}

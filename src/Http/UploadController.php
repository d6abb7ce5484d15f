<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Entity\Person;
use UpperPane\App\Problem\Problem;
use UpperPane\App\UseCase\Stock\SendInParts;

/** Files sent part by part: the tus protocol, 1.0.0. */
final class UploadController
{
    private const VERSION = '1.0.0';
    private const TUS = ['Tus-Resumable' => self::VERSION, 'Cache-Control' => 'no-store'];

    public function __construct(private readonly SendInParts $parts)
    {
    }

    #[Route('/api/sites/{site}/uploads', 'upload_begin', methods: ['POST'])]
    public function begin(string $site, Request $request, #[CurrentUser] Person $person): Response
    {
        if (!self::isKnown($request)) {
            return self::otherVersion();
        }
        $id = $this->parts->begin($site, self::named($request), self::number($request, 'Upload-Length'), $person);

        return new Response(null, Response::HTTP_CREATED, self::TUS + ['Location' => "/api/uploads/$id"]);
    }

    #[Route('/api/uploads/{id}', 'upload_look', methods: ['GET'])]
    public function look(string $id, #[CurrentUser] Person $person): Response
    {
        ['received' => $received, 'bytes' => $bytes] = $this->parts->look($id, $person);
        $headers = ['Upload-Offset' => (string) $received, 'Upload-Length' => (string) $bytes];

        return new JsonResponse(['received' => $received, 'bytes' => $bytes], headers: self::TUS + $headers);
    }

    #[Route('/api/uploads/{id}', 'upload_part', methods: ['PATCH'])]
    public function part(string $id, Request $request, #[CurrentUser] Person $person): Response
    {
        if (!self::isKnown($request)) {
            return self::otherVersion();
        }
        $this->parts->look($id, $person);
        if ($request->headers->get('Content-Type') !== 'application/offset+octet-stream') {
            return Problem::response(Response::HTTP_UNSUPPORTED_MEDIA_TYPE, 'stock.part_type');
        }
        $from = self::number($request, 'Upload-Offset');
        $received = $this->parts->take($id, $from, $request->getContent(true), $person);
        $headers = ['Upload-Offset' => (string) $received];

        return new Response(null, Response::HTTP_NO_CONTENT, self::TUS + $headers);
    }

    #[Route('/api/uploads/{id}/done', 'upload_done', methods: ['POST'])]
    public function done(string $id, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse($this->parts->done($id, $person), Response::HTTP_CREATED);
    }

    #[Route('/api/uploads/{id}', 'upload_give_up', methods: ['DELETE'])]
    public function giveUp(string $id, #[CurrentUser] Person $person): Response
    {
        $this->parts->giveUp($id, $person);

        return new Response(null, Response::HTTP_NO_CONTENT, self::TUS);
    }

    /** One that names no version is taken for this one. */
    private static function isKnown(Request $request): bool
    {
        return $request->headers->get('Tus-Resumable', self::VERSION) === self::VERSION;
    }

    private static function otherVersion(): Response
    {
        $problem = Problem::response(Response::HTTP_PRECONDITION_FAILED, 'stock.part_version');
        $problem->headers->set('Tus-Version', self::VERSION);

        return $problem;
    }

    /** −1 where it is missing or no number. */
    private static function number(Request $request, string $header): int
    {
        $said = (string) $request->headers->get($header);

        return preg_match('/^\d{1,15}$/D', $said) === 1 ? (int) $said : -1;
    }

    /** Of `Upload-Metadata`: pairs of a key and a value in base64. */
    private static function named(Request $request): string
    {
        $metadata = (string) $request->headers->get('Upload-Metadata');
        $found = preg_match('~(?:^|,)\s*filename ([A-Za-z0-9+/=]+)~', $metadata, $said);
        $name = $found === 1 ? (string) base64_decode($said[1], true) : '';

        return mb_check_encoding($name, 'UTF-8') && $name !== '' ? $name : 'file';
    }
}

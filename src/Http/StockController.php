<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Stock\AddMedia;
use UpperPane\App\UseCase\Stock\RemoveMedia;
use UpperPane\App\UseCase\Stock\StockList;
use UpperPane\Core\Base\Refusal;

/** The Stock: listed, added to, taken from; its files are handed to nginx to send. */
final class StockController
{
    #[Route('/api/sites/{site}/stock', 'stock', methods: ['GET'])]
    public function list(string $site, #[CurrentUser] Person $person, StockList $list): JsonResponse
    {
        return new JsonResponse($list($site, $person));
    }

    #[Route('/api/sites/{site}/stock', 'stock_add', methods: ['POST'])]
    public function add(string $site, Request $request, #[CurrentUser] Person $person, AddMedia $add): JsonResponse
    {
        $file = $request->files->get('file');
        if (!$file instanceof UploadedFile) {
            throw Refusal::because('stock.no_file', '/file');
        }
        if (!$file->isValid()) {
            throw Refusal::because('stock.upload_broken', '/file', ['why' => $file->getErrorMessage()]);
        }

        return new JsonResponse($add($site, $file->getPathname(), $file->getClientOriginalName(), $person), 201);
    }

    #[Route('/api/stock/{id}', 'stock_remove', methods: ['DELETE'])]
    public function remove(string $id, #[CurrentUser] Person $person, RemoveMedia $remove): Response
    {
        $remove($id, $person);

        return new Response(null, Response::HTTP_NO_CONTENT);
    }

    /** nginx sends the file itself, in ranges where asked; the name is the content, so it may be kept for ever. */
    #[Route(
            '/media/{sha256}/{form}',
            'stock_file',
            requirements: ['sha256' => '[0-9a-f]{64}', 'form' => 'original|thumbnail'],
            methods: ['GET'],
        ),]
    public function file(string $sha256, string $form): Response
    {
        $path = $form === 'thumbnail' ? MediaFiles::thumbnail($sha256) : MediaFiles::original($sha256);

        return new Response('', 200, [
            'X-Accel-Redirect' => '/stored/'.$path,
            'Content-Type' => $form === 'thumbnail' ? 'image/webp' : '',
            'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }
}

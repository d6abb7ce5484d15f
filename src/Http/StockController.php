<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use UpperPane\App\Adapter\MediaSender;
use UpperPane\App\Adapter\NoRoom;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Stock\AddMedia;
use UpperPane\App\UseCase\Stock\MayAdd;
use UpperPane\App\UseCase\Stock\NoteMedia;
use UpperPane\App\UseCase\Stock\RemoveMedia;
use UpperPane\App\UseCase\Stock\ReplaceMedia;
use UpperPane\App\UseCase\Stock\SendMedia;
use UpperPane\App\UseCase\Stock\StockList;
use UpperPane\Core\Base\Refusal;

/** The Stock: listed, added to, taken from; its files sent. */
final class StockController
{
    /** What PHP says of a file that it could not put down before we were asked. */
    private const NO_ROOM = [\UPLOAD_ERR_CANT_WRITE, \UPLOAD_ERR_NO_TMP_DIR];

    #[Route('/api/sites/{site}/stock', 'stock', methods: ['GET'])]
    public function list(string $site, #[CurrentUser] Person $person, StockList $list): JsonResponse
    {
        return new JsonResponse($list($site, $person));
    }

    #[Route('/api/stock/{id}/uses', 'stock_uses', methods: ['GET'])]
    public function uses(string $id, #[CurrentUser] Person $person, StockList $list): JsonResponse
    {
        return new JsonResponse($list->uses($id, $person));
    }

    #[Route('/api/sites/{site}/stock', 'stock_add', methods: ['POST'])]
    public function add(
        string $site,
        Request $request,
        #[CurrentUser] Person $person,
        MayAdd $may,
        AddMedia $add,
    ): JsonResponse {
        $may($site, 'POST', $person);
        $file = $request->files->get('file');
        if (!$file instanceof UploadedFile) {
            throw Refusal::because('stock.no_file', '/file');
        }
        if (in_array($file->getError(), self::NO_ROOM, true)) {
            throw NoRoom::at(sys_get_temp_dir(), (int) $request->headers->get('Content-Length'));
        }
        if (!$file->isValid()) {
            throw Refusal::because('stock.upload_broken', '/file', ['why' => $file->getErrorMessage()]);
        }

        return new JsonResponse($add($site, $file->getPathname(), $file->getClientOriginalName(), $person), 201);
    }

    /** By another file of the Stock, or by one that it was before. */
    #[Route('/api/stock/{id}/replace', 'stock_replace', methods: ['POST'])]
    public function replace(
        string $id,
        Request $request,
        #[CurrentUser] Person $person,
        ReplaceMedia $replace,
    ): JsonResponse {
        $body = Body::of($request)->keys(['seen', 'with']);

        return new JsonResponse($replace($id, $body->text('seen', 64, 64), $body->text('with', 64, 1), $person));
    }

    #[Route('/api/stock/{id}/notes', 'stock_note', methods: ['POST'])]
    public function note(string $id, Request $request, #[CurrentUser] Person $person, NoteMedia $note): JsonResponse
    {
        return new JsonResponse($note($id, Body::of($request), $person));
    }

    #[Route('/api/stock/{id}', 'stock_remove', methods: ['DELETE'])]
    public function remove(
        string $id,
        Request $request,
        #[CurrentUser] Person $person,
        RemoveMedia $remove,
    ): Response {
        $remove($id, max(0, $request->query->getInt('despite')), $person);

        return new Response(null, Response::HTTP_NO_CONTENT);
    }

    #[Route('/api/stock/{id}/back', 'stock_back', methods: ['POST'])]
    public function back(string $id, #[CurrentUser] Person $person, RemoveMedia $remove): JsonResponse
    {
        return new JsonResponse($remove->back($id, $person));
    }

    /** What nginx asks before it reads the body of an upload. */
    #[Route('/api/sites/{site}/stock/allowed', 'stock_allowed', methods: ['GET'])]
    public function allowed(string $site, Request $request, #[CurrentUser] Person $person, MayAdd $may): Response
    {
        try {
            $may($site, $request->query->getString('method', 'POST'), $person);
        } catch (Absent) {
            // nginx passes 401 and 403 on, and makes a fault of its own of any other answer.
            throw new AccessDeniedHttpException();
        }

        return new Response(null, Response::HTTP_NO_CONTENT);
    }

    /** The name is the content, so it may be kept for ever. */
    #[Route(
            '/media/{sha256}/{form}',
            'stock_file',
            requirements: ['sha256' => '[0-9a-f]{64}', 'form' => 'original|thumbnail'],
            methods: ['GET'],
        ),]
    public function file(
        string $sha256,
        string $form,
        Request $request,
        #[CurrentUser] Person $person,
        SendMedia $find,
        MediaSender $sender,
    ): Response {
        ['path' => $path, 'mime' => $mime] = $find($sha256, $form === 'thumbnail', $person);

        return $sender->send($path, $mime, $request->headers->get('Range'));
    }
}

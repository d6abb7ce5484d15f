<?php

declare(strict_types=1);

namespace UpperPane\App\Problem;

use Symfony\Component\HttpFoundation\JsonResponse;
use UpperPane\Core\Base\Catalogue;
use UpperPane\Core\Base\Refusal;

/** An answer that says what, why and how to mend, as problem+json (RFC 9457) with `code`, `path` and `mend`. */
final class Problem
{
    /**
     * @param array<string, string|int|list<string>> $params
     * @param array<string, mixed>                   $more
     */
    public static function response(
        int $status,
        string $code,
        string $path = '',
        array $params = [],
        array $more = [],
    ): JsonResponse {
        return new JsonResponse(
            [
                'type' => 'about:blank',
                'title' => Catalogue::message($code, $params),
                'status' => $status,
                'code' => $code,
                'path' => $path,
                'params' => (object) $params,
                'mend' => Catalogue::mend($code, $params),
            ] + $more,
            $status,
            ['Content-Type' => 'application/problem+json'],
        );
    }

    public static function ofRefusal(Refusal $refusal, int $status = 422): JsonResponse
    {
        return self::response($status, $refusal->refusalCode, $refusal->path, $refusal->params);
    }
}

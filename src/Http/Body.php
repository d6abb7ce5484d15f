<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\Request;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Json;
use UpperPane\Core\Base\Refusal;

/** The JSON body of a request as the core's typed reader. */
final class Body
{
    /** @throws Refusal {@see Json::decode()} */
    public static function of(Request $request): Input
    {
        return Json::decode($request->getContent());
    }
}

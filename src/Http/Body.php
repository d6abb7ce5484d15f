<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\Request;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** The JSON body of a request as the core's typed reader. */
final class Body
{
    /** @throws Refusal `input.json` */
    public static function of(Request $request): Input
    {
        try {
            return Input::of(json_decode($request->getContent(), true, 128, \JSON_THROW_ON_ERROR));
        } catch (\JsonException $broken) {
            throw Refusal::because('input.json', '', ['what' => $broken->getMessage()]);
        }
    }
}

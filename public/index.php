<?php

declare(strict_types=1);

use Symfony\Component\HttpFoundation\Request;
use UpperPane\App\Kernel;

require dirname(__DIR__).'/vendor/autoload.php';

$kernel = new Kernel((string) ($_SERVER['APP_ENV'] ?? 'prod'), (bool) ($_SERVER['APP_DEBUG'] ?? false));
$request = Request::createFromGlobals();
$response = $kernel->handle($request);
$response->send();
$kernel->terminate($request, $response);

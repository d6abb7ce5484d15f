<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The pages themselves, as the front end's build left them; every place of the app has a URL of its own. */
final readonly class ShellController
{
    public function __construct(private string $projectDir)
    {
    }

    #[Route('/api/openapi.json', 'openapi', methods: ['GET'])]
    public function openapi(): Response
    {
        return new BinaryFileResponse(
            $this->projectDir.'/docs/openapi.json',
            headers: ['Content-Type' => 'application/json'],
        );
    }

    #[Route('/play/sw.js', 'play_worker', methods: ['GET'])]
    public function playWorker(): Response
    {
        return $this->page('sw.js', 'text/javascript');
    }

    #[Route('/play/{code}', 'play_shell', methods: ['GET'])]
    public function play(): Response
    {
        return $this->page('play.html');
    }

    #[Route(
            '/{place}',
            'shell',
            requirements: ['place' => '(?!api/|build/|media/|play/).*'],
            defaults: ['place' => ''],
            methods: ['GET'],
            priority: -10,
        ),]
    public function shell(): Response
    {
        return $this->page('index.html');
    }

    private function page(string $file, string $type = 'text/html; charset=UTF-8'): Response
    {
        return new Response((string) file_get_contents($this->projectDir.'/public/build/'.$file), 200, [
            'Content-Type' => $type,
            'Cache-Control' => 'no-cache',
        ]);
    }
}

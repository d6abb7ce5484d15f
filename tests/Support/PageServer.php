<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Symfony\Component\Process\Process;

/** A small server of others, on loopback: it answers with the headers that its address asks for. */
final class PageServer
{
    private const ROUTER = <<<'PHP'
        <?php
        $file = getcwd().parse_url($_SERVER['REQUEST_URI'], PHP_URL_PATH);
        if (is_file($file)) {
            header('Access-Control-Allow-Origin: *');
            readfile($file);
            exit;
        }
        $asked = json_decode(base64_decode($_GET['say'] ?? ''), true) ?: ['headers' => [], 'body' => 'A page'];
        header_remove('X-Powered-By');
        http_response_code($asked['status'] ?? 200);
        header('Content-Type: text/html; charset=utf-8');
        foreach ($asked['headers'] as $line) {
            header($line, false);
        }
        echo $asked['body'];
        PHP;

    private function __construct(public readonly string $origin, private readonly Process $process)
    {
    }

    /** @param ?string $folder whose files anybody may fetch */
    public static function start(?string $folder = null): self
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No port is free.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);
        $process = new Process(
            ['php', '-S', $name, Files::bytes('router.php', self::ROUTER)],
            $folder,
        );
        $process->start();
        for ($until = microtime(true) + 20; microtime(true) < $until; usleep(20_000)) {
            if (@fsockopen('127.0.0.1', (int) substr($name, 10), timeout: 1) !== false) {
                return new self("http://$name", $process);
            }
        }
        throw new \RuntimeException('The small server did not start: '.$process->getErrorOutput());
    }

    /** @param list<string> $headers */
    public function address(array $headers, string $body = 'A page', int $status = 200): string
    {
        $say = base64_encode((string) json_encode(['headers' => $headers, 'body' => $body, 'status' => $status]));

        return "$this->origin/?say=".rawurlencode($say);
    }

    public function stop(): void
    {
        $this->process->stop(1);
    }
}

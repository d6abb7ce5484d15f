<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Symfony\Component\Uid\Uuid;

/**
 * Someone at work while things break: whatever was not answered is sent again as it was, with the same id, until it is,
 * as the browser's queue does.
 */
final class FaultClient
{
    private const PATIENCE_S = 180;
    private \CurlHandle $curl;
    private string $csrf = '';

    /** @var array<string, int> how far each document has come */
    private array $revisions = [];

    public function __construct(private readonly string $address)
    {
        $this->curl = curl_init() ?: throw new \RuntimeException('curl');
        curl_setopt_array($this->curl, [
            \CURLOPT_RETURNTRANSFER => true,
            \CURLOPT_COOKIEFILE => '',
            \CURLOPT_TIMEOUT => 30,
        ]);
        $this->send('POST', '/api/session', ['email' => 'dina@harrowmere.example', 'password' => 'harrowmere']);
        $this->csrf = $this->send('GET', '/api/me')['person']['csrf'];
    }

    public static function uuid(): string
    {
        return Uuid::v4()->toRfc4122();
    }

    /**
     * @param array<string, mixed>|null $body a value that is a CURLFile makes it a form
     *
     * @return array<string, mixed>
     */
    public function send(string $method, string $path, ?array $body = null): array
    {
        $form = array_filter($body ?? [], static fn (mixed $value) => $value instanceof \CURLFile) !== [];
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->address.$path,
            \CURLOPT_CUSTOMREQUEST => $method,
            \CURLOPT_HTTPHEADER => [
                "X-Csrf-Token: $this->csrf",
                ...($form ? [] : ['Content-Type: application/json']),
            ],
            \CURLOPT_POSTFIELDS => $form ? $body : ($body === null ? '' : json_encode($body)),
        ]);
        for ($end = time() + self::PATIENCE_S;; usleep(100_000)) {
            $answer = (string) curl_exec($this->curl);
            $status = (int) curl_getinfo($this->curl, \CURLINFO_RESPONSE_CODE);
            // An answer that was cut off is none: the browser's queue sees it so too.
            $whole = curl_errno($this->curl) === 0 && ($status === 204 || json_validate($answer));
            if ($whole && $status >= 200 && $status < 300) {
                return (array) json_decode($answer, true);
            }
            if (($whole && $status >= 400 && $status < 500) || time() > $end) {
                throw new \RuntimeException("$method $path: $status $answer");
            }
        }
    }

    /** @return string the id of a design that is only made for this */
    public function newDesign(string $surface = 'cafe'): string
    {
        $design = self::uuid();
        $this->send('POST', "/api/surfaces/$surface/designs", ['design' => $design, 'name' => 'Edit 0']);
        $this->revisions[$design] = 0;

        return $design;
    }

    /** @param array<string, mixed> $command */
    public function edit(string $design, array $command): void
    {
        $this->revisions[$design] = (int) $this->send('POST', "/api/documents/$design/batches", [
            'batch' => self::uuid(),
            'client' => self::uuid(),
            'revision' => $this->revisions[$design],
            'commands' => [$command],
        ])['revision'];
    }

    public function revision(string $design): int
    {
        return $this->revisions[$design];
    }
}

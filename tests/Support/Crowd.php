<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

/** Someone signed in to the running app, who can ask many things at the same instant. */
final class Crowd
{
    /** @var list<string> */
    private array $headers = [];

    public function __construct(private readonly string $address, string $who = 'dina')
    {
        $login = curl_init("$address/api/session") ?: throw new \RuntimeException('curl');
        $cookies = [];
        curl_setopt_array($login, [
            \CURLOPT_RETURNTRANSFER => true,
            \CURLOPT_POSTFIELDS => json_encode(['email' => "$who@harrowmere.example", 'password' => 'harrowmere']),
            \CURLOPT_HTTPHEADER => ['Content-Type: application/json'],
            \CURLOPT_HEADERFUNCTION => static function ($_, string $line) use (&$cookies): int {
                if (preg_match('/^set-cookie: ([^;]+)/i', $line, $found) === 1) {
                    $cookies[] = $found[1];
                }

                return strlen($line);
            },
        ]);
        curl_exec($login);
        $this->headers = ['Cookie: '.implode('; ', $cookies)];
        $this->headers[] = 'X-Csrf-Token: '.$this->ask('GET', '/api/me')['person']['csrf'];
    }

    /** @return array<string, mixed> */
    public function ask(string $method, string $path): array
    {
        $curl = $this->request($path, [\CURLOPT_CUSTOMREQUEST => $method]);

        return (array) json_decode((string) curl_exec($curl), true);
    }

    /**
     * @param list<array<string, mixed>> $bodies
     *
     * @return list<array{int, array<string, mixed>}> status and answer of each
     */
    public function at(string $path, array $bodies): array
    {
        return $this->together(
            array_map(
                fn (array $body) => $this->request(
                    $path,
                    [\CURLOPT_POSTFIELDS => json_encode($body)],
                    ['Content-Type: application/json'],
                ),
                $bodies,
            ),
        );
    }

    /**
     * @param list<string> $files
     *
     * @return list<array{int, array<string, mixed>}>
     */
    public function upload(string $path, array $files): array
    {
        return $this->together(
            array_map(
                fn (string $file) => $this->request($path, [
                    \CURLOPT_POSTFIELDS => ['file' => new \CURLFile($file)],
                ]),
                $files,
            ),
        );
    }

    /**
     * @param list<\CurlHandle> $requests
     *
     * @return list<array{int, array<string, mixed>}>
     */
    private function together(array $requests): array
    {
        $all = curl_multi_init();
        foreach ($requests as $request) {
            curl_multi_add_handle($all, $request);
        }
        do {
            curl_multi_exec($all, $running);
            curl_multi_select($all, 0.05);
        } while ($running > 0);

        return array_map(
            static fn (\CurlHandle $request) => [
                (int) curl_getinfo($request, \CURLINFO_RESPONSE_CODE),
                (array) json_decode((string) curl_multi_getcontent($request), true),
            ],
            $requests,
        );
    }

    /**
     * @param array<int, mixed> $options
     * @param list<string>      $headers
     */
    private function request(string $path, array $options, array $headers = []): \CurlHandle
    {
        $curl = curl_init($this->address.$path) ?: throw new \RuntimeException('curl');
        curl_setopt_array(
            $curl,
            [\CURLOPT_RETURNTRANSFER => true, \CURLOPT_HTTPHEADER => [...$this->headers, ...$headers, 'Expect:']] +
                $options,
        );

        return $curl;
    }
}

<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

/** Many players in one process that poll static files as players do, each a little apart from the others. */
final class Pollers
{
    private readonly \CurlMultiHandle $multi;

    /**
     * @var array<int, array{path: string, everyMs: int, dueMs: float, since: string, body: ?string,
     *     headers: list<string>}>
     */
    private array $polls = [];

    /** @var array<int, array{int, float, \CurlHandle}> by handle: which poll, begun when, ms */
    private array $open = [];

    /** @var list<\CurlHandle> */
    private array $free = [];

    /** @var list<float> how long each answer took, ms */
    public array $tookMs = [];

    /** @var array<int, int> answers by status */
    public array $statuses = [];

    /** @param \Closure(int, string): void $heard which poll, and what came that is new */
    public function __construct(private readonly string $address, private readonly \Closure $heard)
    {
        $this->multi = curl_multi_init();
        curl_multi_setopt($this->multi, \CURLMOPT_MAX_TOTAL_CONNECTIONS, 256);
    }

    /** @param list<string> $headers */
    public function add(string $path, int $everyMs, ?string $body = null, array $headers = []): void
    {
        $this->polls[] = [
            'path' => $path,
            'everyMs' => $everyMs,
            'dueMs' => self::nowMs() + random_int(0, $everyMs),
            'since' => '',
            'body' => $body,
            'headers' => $headers,
        ];
    }

    /** @param ?\Closure(): bool $until ends it before its time */
    public function run(float $seconds, ?\Closure $until = null): void
    {
        $end = self::nowMs() + 1000 * $seconds;
        while (self::nowMs() < $end && !($until !== null && $until())) {
            $this->begin();
            curl_multi_exec($this->multi, $active);
            while ($done = curl_multi_info_read($this->multi)) {
                $this->finish($done['handle']);
            }
            curl_multi_select($this->multi, 0.005);
        }
    }

    private function begin(): void
    {
        $now = self::nowMs();
        foreach ($this->polls as $index => &$poll) {
            if ($poll['dueMs'] > $now) {
                continue;
            }
            $poll['dueMs'] = \PHP_INT_MAX;
            $handle = array_pop($this->free) ?? curl_init();
            \assert($handle instanceof \CurlHandle);
            curl_reset($handle);
            curl_setopt_array($handle, [
                \CURLOPT_URL => $this->address.$poll['path'],
                \CURLOPT_RETURNTRANSFER => true,
                \CURLOPT_FILETIME => true,
                \CURLOPT_TCP_NODELAY => true,
                \CURLOPT_HTTPHEADER => [
                    ...$poll['headers'],
                    ...$poll['since'] === '' ? [] : ["If-Modified-Since: $poll[since]"],
                ],
            ] + ($poll['body'] === null ? [] : [\CURLOPT_POSTFIELDS => $poll['body']]));
            $this->open[(int) spl_object_id($handle)] = [$index, $now, $handle];
            curl_multi_add_handle($this->multi, $handle);
        }
    }

    private function finish(\CurlHandle $handle): void
    {
        [$index, $begun] = $this->open[spl_object_id($handle)];
        unset($this->open[spl_object_id($handle)]);
        $status = (int) curl_getinfo($handle, \CURLINFO_RESPONSE_CODE);
        $this->statuses[$status] = ($this->statuses[$status] ?? 0) + 1;
        $this->tookMs[] = self::nowMs() - $begun;
        $poll = &$this->polls[$index];
        if ($status === 200) {
            $poll['since'] = gmdate('D, d M Y H:i:s', (int) curl_getinfo($handle, \CURLINFO_FILETIME)).' GMT';
            ($this->heard)($index, (string) curl_multi_getcontent($handle));
        }
        // As players do: a tenth earlier or later.
        $poll['dueMs'] = self::nowMs() + $poll['everyMs'] * random_int(900, 1100) / 1000;
        curl_multi_remove_handle($this->multi, $handle);
        $this->free[] = $handle;
    }

    public static function nowMs(): float
    {
        return microtime(true) * 1000;
    }
}

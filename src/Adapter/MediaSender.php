<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use League\Flysystem\FilesystemOperator;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use UpperPane\Core\Picture\MediaFacts;

/**
 * Sends a file of the storage: where it lies on this node's disk nginx does it, in ranges where asked; from anywhere
 * else it is streamed through.
 */
final readonly class MediaSender
{
    private const KEEP = 'private, max-age=31536000, immutable';
    private const INERT = "default-src 'none'; sandbox";
    /** As config/servers/page.conf says it. */
    public const SANDBOX = "sandbox allow-scripts; default-src data: blob: 'unsafe-inline' 'unsafe-eval'; frame-ancestors 'self'";

    public function __construct(private FilesystemOperator $files, private bool $mediaOnDisk)
    {
    }

    /** @param ?string $range as the request has it (RFC 9110 §14.2): one range of bytes, or null for all */
    public function send(string $path, string $mime, ?string $range): Response
    {
        $headers = ['Content-Type' => $mime, 'Cache-Control' => self::KEEP];
        if ($this->mediaOnDisk) {
            return new Response('', 200, $headers + [
                'X-Accel-Redirect' => ($mime === MediaFacts::PAGE ? '/stored-page/' : '/stored/').$path,
            ]);
        }
        $size = $this->files->fileSize($path);
        [$first, $last] = self::bounds($range, $size);
        $whole = $last - $first + 1 === $size;
        $headers += [
            'Accept-Ranges' => 'bytes',
            'Content-Length' => (string) ($last - $first + 1),
            'Content-Security-Policy' => $mime === MediaFacts::PAGE ? self::SANDBOX : self::INERT,
        ] + ($whole ? [] : ['Content-Range' => "bytes $first-$last/$size"]);

        return new StreamedResponse(
            fn () => $this->stream($path, $first, $last - $first + 1),
            $whole ? 200 : 206,
            $headers,
        );
    }

    /** @return array{int, int} first and last byte; the whole where the range says nothing that can be met */
    private static function bounds(?string $range, int $size): array
    {
        if ($range === null || preg_match('/^bytes=(\d{0,15})-(\d{0,15})$/D', $range, $found) !== 1) {
            return [0, $size - 1];
        }
        [, $from, $to] = $found;
        $first = $from === '' ? max(0, $size - (int) $to) : (int) $from;
        $last = $from === '' || $to === '' ? $size - 1 : min((int) $to, $size - 1);

        return $first <= $last && ($from !== '' || $to !== '') ? [$first, $last] : [0, $size - 1];
    }

    private function stream(string $path, int $skip, int $length): void
    {
        $from = $this->files->readStream($path);
        $to = fopen('php://output', 'w');
        if ($to === false) {
            throw new \RuntimeException('There is no output.');
        }
        for (; $skip > 0; $skip -= strlen((string) $chunk)) {
            $chunk = fread($from, min($skip, 1 << 20));
            if ($chunk === false || $chunk === '') {
                return;
            }
        }
        stream_copy_to_stream($from, $to, $length);
    }
}

<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Refusal;

/** What a stranger's font is, read by a process of its own within bounds; and a card with its letters. */
final readonly class FontLooker
{
    private const MOST_SECONDS = 20;
    private const SPECIMEN = "Aa Bb Gg\n0123";

    public function __construct(private OutsideProgram $program, private string $projectDir)
    {
    }

    /**
     * @return array{family: string, weight: int, embedding: string, glyphs: int}
     *
     * @throws Refusal `stock.font_broken`, `stock.font_restricted`
     */
    public function look(string $path): array
    {
        // Our own reader, in a language that cannot be overrun: it needs bounds, not another user, who may not read us.
        $reading = new Process(
            [\PHP_BINARY, '-d', 'memory_limit=512M', "{$this->projectDir}/bin/pane", 'font', '--file', $path],
            timeout: self::MOST_SECONDS,
        );
        try {
            $said = $reading->run() === 0 ? $reading->getOutput() : null;
        } catch (ProcessTimedOutException) {
            $said = null;
        }
        /** @var array{family: string, weight: int, embedding: string, glyphs: int}|null $facts */
        $facts = $said === null ? null : json_decode($said, true);

        return match ($facts['embedding'] ?? 'broken') {
            'broken' => throw Refusal::because('stock.font_broken', '/file'),
            'restricted' => throw Refusal::because('stock.font_restricted', '/file', [
                'family' => $facts['family'] ?? '',
            ]),
            default => $facts ?? throw new \LogicException('It was read.'),
        };
    }

    /** @throws Refusal `stock.font_broken` when its letters cannot be drawn */
    public function card(string $path): string
    {
        return $this->program->output(
            [
                ...['convert-im6.q16', '-size', '480x270', 'xc:#FFFDF8', '-font', $path, '-fill', '#1D2A33'],
                ...['-pointsize', '84', '-gravity', 'center', '-annotate', '0', self::SPECIMEN],
                ...['-quality', '90', 'webp:-'],
            ],
            self::MOST_SECONDS,
        ) ?: throw Refusal::because('stock.font_broken', '/file');
    }
}

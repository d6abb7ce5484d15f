<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Fill;

use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\Setting\Measure;
use UpperPane\Core\Text\Setting\MixedFaces;

/**
 * What of a text is set in another weight or colour, by byte offsets in what is drawn of it.
 *
 * @phpstan-type Part array{text: string, weight?: int, colour?: string}
 */
final readonly class TextRuns
{
    /** @param list<array{from: int, to: int, look: array{weight?: int, colour?: string}}> $runs */
    private function __construct(private array $runs)
    {
    }

    /** @param ?callable(string): string $drawn what becomes of the text before it is drawn */
    public static function of(TextFill $fill, ?callable $drawn): self
    {
        $at = static function (int $character) use ($fill, $drawn): int {
            $before = mb_substr($fill->text, 0, $character);

            return strlen($drawn === null ? $before : $drawn($before));
        };
        $runs = [];
        foreach ($fill->runs as $run) {
            $runs[] = [
                'from' => $at($run->from),
                'to' => $at($run->to),
                'look' => array_filter(['weight' => $run->weight, 'colour' => $run->colour?->hex]),
            ];
        }

        return new self($runs);
    }

    /** @param \Closure(int): FontFace $faceOf the faces of the family, by weight */
    public function faces(FontFace $face, \Closure $faceOf): Measure
    {
        $others = [];
        foreach ($this->runs as ['from' => $from, 'to' => $to, 'look' => $look]) {
            if (isset($look['weight'])) {
                $others[] = ['from' => $from, 'to' => $to, 'face' => $faceOf($look['weight'])];
            }
        }

        return MixedFaces::of($face, $others);
    }

    /**
     * A line's parts where it is not all alike. What is added at its end, an ellipsis or a hyphen, looks like the last.
     *
     * @return array{parts?: list<Part>}
     */
    public function parts(string $line, int $at): array
    {
        $end = $at + strlen($line);
        $parts = [];
        $next = $at;
        foreach ($this->runs as ['from' => $from, 'to' => $to, 'look' => $look]) {
            if ($from < $end && $to > $next) {
                $parts[] = ['text' => substr($line, $next - $at, max(0, $from - $next))];
                $begins = max($from, $next);
                $parts[] = ['text' => substr($line, $begins - $at, min($to, $end) - $begins)] + $look;
                $next = min($to, $end);
            }
        }
        $parts[] = ['text' => substr($line, $next - $at)];

        return count($parts) === 1
            ? []
            : ['parts' => array_values(array_filter($parts, static fn (array $part) => $part['text'] !== ''))];
    }
}

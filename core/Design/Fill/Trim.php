<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** The part of a video that is shown, in ms of it. */
final readonly class Trim
{
    private const LONGEST_MS = 7 * 86_400_000;

    private function __construct(public int $fromMs, public int $toMs)
    {
    }

    /** @throws Refusal `trim.empty` unless it ends after it begins */
    public static function parse(Input $input): self
    {
        [$from, $to] = array_map(
            static fn (Input $ms) => $ms->asInt(0, self::LONGEST_MS),
            $input->asList(2, 2),
        );

        return $to > $from
            ? new self($from, $to)
            : throw Refusal::because('trim.empty', $input->path.'/1', ['from' => $from, 'to' => $to]);
    }

    /**
     * Where it begins in a video of a length, and how long it is; the whole where it lies beyond.
     *
     * @return array{int, int}
     */
    public function within(int $durationMs): array
    {
        return $this->fromMs < $durationMs
            ? [$this->fromMs, min($this->toMs, $durationMs) - $this->fromMs]
            : [0, $durationMs];
    }

    /** @return array{int, int} */
    public function toArray(): array
    {
        return [$this->fromMs, $this->toMs];
    }
}

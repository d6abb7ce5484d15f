<?php

declare(strict_types=1);

namespace UpperPane\Core\Output;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Surface\Surface;

/** All outputs that feed a surface. */
final readonly class OutputMap
{
    /** @param list<Output> $outputs */
    private function __construct(public array $outputs)
    {
    }

    /** @param list<Output> $outputs */
    public static function of(array $outputs): self
    {
        return new self($outputs);
    }

    public static function parse(Input $list): self
    {
        return new self(array_map(Output::parse(...), $list->asList(400)));
    }

    /** @throws Refusal `output.unknown` */
    public function output(string $player, int $number): Output
    {
        foreach ($this->outputs as $output) {
            if ($output->player === $player && $output->number === $number) {
                return $output;
            }
        }
        throw Refusal::because('output.unknown', '', ['player' => $player, 'number' => $number]);
    }

    /**
     * The same places in the same signals, fed by the panels in another order: the order in which they are wired.
     *
     * @param list<string> $panelIds every panel once
     *
     * @throws Refusal `output.order_incomplete`, `output.order_needs_whole_panels`
     */
    public function rewired(array $panelIds, Surface $surface): self
    {
        $wired = array_merge(
            ...array_map(
                static fn (Output $output) => array_map(static fn (Slice $slice) => $slice->panel, $output->slices),
                $this->outputs,
            ),
        );
        if (count($wired) !== count(array_unique($wired))) {
            throw Refusal::because('output.order_needs_whole_panels', '/panels');
        }
        $missing = [...array_diff($wired, $panelIds), ...array_diff($panelIds, $wired)];
        if ($missing !== [] || count($panelIds) !== count($wired)) {
            throw Refusal::because('output.order_incomplete', '/panels', [
                'ids' => array_values($missing),
                'count' => count($wired),
            ]);
        }
        $next = 0;

        return new self(
            array_map(static function (Output $output) use ($panelIds, $surface, &$next): Output {
                return $output->withSlices(
                    array_map(static function (Slice $slice) use ($panelIds, $surface, &$next): Slice {
                        return Slice::ofPanel($surface->panel($panelIds[$next++]), $slice->raster, $slice->mirror);
                    }, $output->slices),
                );
            }, $this->outputs),
        );
    }

    /** For projection from behind: every signal mirrored left to right, or none. */
    public function mirrored(bool $mirror): self
    {
        return new self(
            array_map(
                static fn (Output $output) => $output->withSlices(
                    array_map(static fn (Slice $slice) => $slice->mirrored($mirror), $output->slices),
                ),
                $this->outputs,
            ),
        );
    }

    /** @return list<array<string, mixed>> as it is read */
    public function toArray(): array
    {
        return array_map(static fn (Output $output) => $output->toArray(), $this->outputs);
    }
}

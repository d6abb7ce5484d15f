<?php

declare(strict_types=1);

namespace UpperPane\Core\Act;

/** The acts of a site, the one that counts first first: the last press counts, wherever it is aimed (model §8). */
final readonly class Acts
{
    public const VERSION = 1;

    /** @param list<Act> $all */
    private function __construct(public array $all)
    {
    }

    /** @param list<Act> $acts */
    public static function of(array $acts): self
    {
        usort($acts, static fn (Act $a, Act $b) => [$b->fromMs, $b->id] <=> [$a->fromMs, $a->id]);

        return new self($acts);
    }

    /** @param list<string> $names {@see Target::namesOf} */
    public function takeover(array $names, int $atMs): ?Act
    {
        foreach ($this->all as $act) {
            if ($act->kind->takesOver() && $act->isInForce($atMs) && $act->aimsAt($names)) {
                return $act;
            }
        }

        return null;
    }

    /**
     * What lies for the players of a site: only what has not ended. Who is meant is said by player, so that a player
     * need not know of groups.
     *
     * @param int                          $number rises with every change
     * @param array<string, list<string>>  $players by code, what may aim at each
     *
     * @return array<string, mixed>
     */
    public function file(int $number, array $players, int $nowMs): array
    {
        $lines = [];
        foreach ($this->all as $act) {
            $meant = array_keys(array_filter($players, $act->aimsAt(...)));
            if ($act->endMs() > $nowMs && $meant !== []) {
                $lines[] = [
                    'id' => $act->id,
                    'kind' => $act->kind->value,
                    'from_ms' => $act->fromMs,
                    'until_ms' => $act->endMs(),
                    'players' => array_map(strval(...), $meant),
                ];
            }
        }

        return ['acts' => self::VERSION, 'number' => $number, 'list' => $lines];
    }
}

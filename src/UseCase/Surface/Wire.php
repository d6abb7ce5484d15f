<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Output\TestCard;
use UpperPane\Core\Output\Wiring;
use UpperPane\Core\Output\WiringCheck;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Site\SurfaceSheet;

/** Works out output maps. Keeping one is the command `output.wire` on the surface's sheet. */
final readonly class Wire
{
    private const WAYS = ['one_per_output', 'one_signal', 'folded', 'order', 'mirror', 'given'];

    public function __construct(
        private Surfaces $surfaces,
        private Players $players,
        private Planning $planning,
        private Gate $gate,
    ) {
    }

    /**
     * @return array{outputs: list<array<string, mixed>>, findings: list<array<string, mixed>>}
     *
     * @throws Refusal
     */
    public function __invoke(string $code, Input $input, Person $person): array
    {
        $row = $this->surfaces->byCode($code) ?? throw Absent::named('surface');
        $this->gate->demand($person, Right::Mount, $row);
        $sheet = $this->planning->sheet($row);
        $map = self::map($sheet, $input);
        $findings = WiringCheck::of($map, $sheet->surface, $sheet->players);

        return [
            'outputs' => $map->toArray(),
            'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $findings),
        ];
    }

    /** The test card of one output, as SVG: open to all, like the wall it is shown on. */
    public function card(string $playerCode, int $number): string
    {
        $player = $this->players->byCode($playerCode) ?? throw Absent::named('player');
        $sheet = $this->planning->sheet($player->surface);

        return TestCard::svg($sheet->outputMap()->output($playerCode, $number), $sheet->surface);
    }

    private static function map(SurfaceSheet $sheet, Input $input): OutputMap
    {
        $input->keys(['way', 'player', 'number', 'px', 'line_px', 'panels', 'mirror', 'outputs']);
        if ($sheet->players === []) {
            throw Refusal::because('output.no_player');
        }
        $signal = static fn () => [
            $input->id('player'),
            $input->int('number', 1, SurfaceSheet::MOST_OUTPUTS),
            Size::parse($input->child('px')),
        ];

        return match ($input->choice('way', self::WAYS)) {
            'one_per_output' => Wiring::onePerOutput($sheet->surface, $sheet->players),
            'one_signal' => Wiring::onOneSignal($sheet->surface, ...$signal()),
            'folded' => Wiring::folded($sheet->surface, ...[...$signal(), $input->int('line_px', 1, Size::LARGEST_PX)]),
            'order' => $sheet
                ->outputMap()
                ->rewired(
                    array_map(static fn (Input $id) => $id->asText(64, 1), $input->list('panels', 400, 1)),
                    $sheet->surface,
                ),
            'mirror' => $sheet->outputMap()->mirrored($input->bool('mirror')),
            default => OutputMap::parse($input->child('outputs')),
        };
    }
}

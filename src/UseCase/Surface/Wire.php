<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Output\TestCard;
use UpperPane\Core\Output\Wiring;
use UpperPane\Core\Output\WiringCheck;

/** Works out output maps; keeping one is a change of the surface's `outputs` like any other. */
final readonly class Wire
{
    private const WAYS = ['one_per_output', 'one_signal', 'folded', 'order', 'mirror', 'given'];

    public function __construct(private EntityManagerInterface $entities, private Surfaces $surfaces, private Recorder $recorder)
    {
    }

    /**
     * @return array{outputs: list<array<string, mixed>>, findings: list<array<string, mixed>>}
     *
     * @throws Refusal
     */
    public function __invoke(string $code, Input $input): array
    {
        $row = $this->surfaces->row($code);
        $map = $this->map($row, $input);
        $findings = WiringCheck::of($map, $row->sheet()->surface, $this->surfaces->outputCounts($row));

        return ['outputs' => $map->toArray(), 'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $findings)];
    }

    public function card(string $playerCode, int $number): string
    {
        $player = $this->entities->getRepository(Player::class)->findOneBy(['code' => $playerCode]) ?? throw Absent::named('player');
        $sheet = $player->surface->sheet();

        return TestCard::svg($this->surfaces->outputs($player->surface, $sheet)->output($playerCode, $number), $sheet->surface);
    }

    /** How many outputs a player has: an absolute value, so that setting it again takes it back. */
    public function outputs(string $playerCode, Input $input, Person $person): void
    {
        $player = $this->entities->getRepository(Player::class)->findOneBy(['code' => $playerCode]) ?? throw Absent::named('player');
        $before = $player->outputs;
        $player->outputs = $input->keys(['outputs'])->int('outputs', 1, 64);
        $this->entities->flush();
        $this->recorder->record($person, 'player.outputs', $playerCode, ['before' => $before, 'after' => $player->outputs]);
    }

    /** @return array{player: string} one more player for a surface */
    public function addPlayer(string $code, Input $input, Person $person): array
    {
        $outputs = $input->keys(['outputs'])->int('outputs', 1, 64);
        $row = $this->surfaces->row($code);
        for ($number = 1; $this->entities->getRepository(Player::class)->count(['code' => "$code-$number"]) > 0; ++$number) {
        }
        $player = new Player($row, "$code-$number", $row->name);
        $player->outputs = $outputs;
        $this->entities->persist($player);
        $this->entities->flush();
        $this->recorder->record($person, 'player.add', $player->code, ['surface' => $code]);

        return ['player' => $player->code];
    }

    private function map(SurfaceRow $row, Input $input): OutputMap
    {
        $input->keys(['way', 'player', 'number', 'px', 'line_px', 'panels', 'mirror', 'outputs']);
        $sheet = $row->sheet();
        $players = $this->surfaces->outputCounts($row);
        if ($players === []) {
            throw Refusal::because('output.no_player');
        }
        $signal = static fn () => [$input->id('player'), $input->int('number', 1, 64), Size::parse($input->child('px'))];

        return match ($input->choice('way', self::WAYS)) {
            'one_per_output' => Wiring::onePerOutput($sheet->surface, $players),
            'one_signal' => Wiring::onOneSignal($sheet->surface, ...$signal()),
            'folded' => Wiring::folded($sheet->surface, ...[...$signal(), $input->int('line_px', 1, Size::LARGEST_PX)]),
            'order' => $this->surfaces->outputs($row, $sheet)->rewired(array_map(static fn (Input $id) => $id->asText(64, 1), $input->list('panels', 400, 1)), $sheet->surface),
            'mirror' => $this->surfaces->outputs($row, $sheet)->mirrored($input->bool('mirror')),
            default => OutputMap::parse($input->child('outputs')),
        };
    }
}

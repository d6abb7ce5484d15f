<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\Published;
use UpperPane\App\Adapter\Unwritten;
use UpperPane\App\Entity\HandOff;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\ProgrammeRow;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Releases;
use UpperPane\App\Repository\Sealed;
use UpperPane\App\UseCase\Act\PublishActs;
use UpperPane\Core\Plan\DataSheet;
use UpperPane\Core\Plan\Programme;

/**
 * Writes all that a player needs, from the database: the plans, the sheets, the programme it follows, and its orders,
 * which name them. Any node may do it at any time; what is there and right is left alone. What cannot be written is
 * said on the player and tried again.
 */
final readonly class PublishOrders
{
    public const VERSION = 2;

    public function __construct(
        private EntityManagerInterface $entities,
        private Players $players,
        private Published $published,
        private Releases $releases,
        private Sealed $sealed,
        private MakeProgramme $programme,
        private SurfaceAlmanac $almanacs,
    ) {
    }

    /** @return bool whether everything is there */
    public function __invoke(Player $player): bool
    {
        $fault = null;
        try {
            $this->write($player);
        } catch (Unwritten $unwritten) {
            $fault = ['code' => $unwritten->why->refusalCode, 'params' => $unwritten->why->params];
        }
        if ($player->publishFault !== $fault) {
            $player->publishFault = $fault;
            $this->entities->flush();
        }

        return $fault === null;
    }

    /** @throws Unwritten */
    private function write(Player $player): void
    {
        $order = $this->players->order($player);
        if ($order !== null && $order->programme === null) {
            // Handed off before there were programmes.
            $order->programme = $this->entities->wrapInTransaction(
                fn () => ($this->programme)($this->plan($order), $order->startMs, null),
            );
            $this->entities->flush();
        }
        $programme = $order?->programme;
        $read = $programme === null ? null : Programme::read($programme->content);
        $plans = $order === null ? [] : $this->plans($order, $read);
        $this->packPlans($plans);
        $programme === null || $read === null || $this->packProgramme($programme, $read);
        $this->published->order($player->ordersKey, [
            'orders' => self::VERSION,
            'number' => $player->ordersNumber,
            'programme' => $programme === null
                    ? null
                    : [
                        'number' => $programme->number,
                        'sha256' => $programme->sha256,
                        'url' => "/released/{$programme->folder}/programme.json",
                    ],
            'sheets' => $order === null ? [] : (object) $this->sheets($plans),
            'almanac' => $this->almanac($player, $read, $plans),
            'acts' => '/orders/'.PublishActs::PREFIX."{$player->surface->site->actsKey}.json",
            'surface' => $player->surface->name,
        ]);
    }

    /**
     * The same one all day; every worker writes orders again each minute, so that it is renewed behind midnight.
     *
     * @param list<ReleasePlan> $plans
     *
     * @return array{sha256: string, url: string}
     *
     * @throws Unwritten
     */
    private function almanac(Player $player, ?Programme $programme, array $plans): array
    {
        ['sha256' => $sha256, 'folder' => $folder, 'content' => $content] =
            $this->almanacs->of($player->surface, $programme, $plans);
        $this->published->pack($folder, ['almanac.json' => $content], []);

        return ['sha256' => $sha256, 'url' => "/released/$folder/almanac.json"];
    }

    /**
     * @param list<ReleasePlan> $plans
     *
     * @return array<string, array<string, array{sha256: string, url: string}>> by the hash of the plan and the key that
     *     it names; none for plans that were sealed before there were keys
     *
     * @throws Unwritten
     */
    private function sheets(array $plans): array
    {
        $drawn = array_filter(
            $plans,
            static fn (ReleasePlan $plan) => ($plan->plan['sheet'] ?? '') === DataSheet::KEY,
        );
        if ($drawn === []) {
            return [];
        }
        $sheet = DataSheet::none();
        $url = $this->sealed->keep(Sealed::SHEET, $sheet->sha256(), $sheet->toArray());
        ['folder' => $folder, 'content' => $content] = $this->sealed->kept($sheet->sha256());
        $this->published->pack($folder, ['sheet.json' => $content], []);

        $named = [DataSheet::KEY => ['sha256' => $sheet->sha256(), 'url' => "{$url}sheet.json"]];

        return array_fill_keys(array_column($drawn, 'sha256'), $named);
    }

    /**
     * @param list<ReleasePlan> $plans
     *
     * @throws Unwritten
     */
    private function packPlans(array $plans): void
    {
        foreach ($plans as $plan) {
            $this->published->pack(
                $plan->folder,
                ['plan.json' => $this->sealed->plan($plan)],
                $plan->plan['media'],
            );
        }
    }

    /** @throws Unwritten */
    private function packProgramme(ProgrammeRow $row, Programme $programme): void
    {
        if ($programme->idle !== null) {
            $card = $this->sealed->kept($programme->idle->sha256);
            $this->published->pack($card['folder'], ['plan.json' => $card['content']], []);
        }
        $this->published->pack($row->folder, ['programme.json' => $this->sealed->programme($row)], []);
    }

    /** @return non-empty-list<ReleasePlan> of all that its programme names: what waited for its instant too */
    private function plans(HandOff $order, ?Programme $programme): array
    {
        $plans = [$this->plan($order)];
        foreach ($programme->intervals ?? [] as $interval) {
            $release = $interval->plan->release === null ? null : $this->releases->byId($interval->plan->release);
            if ($release !== null && $release->id !== $order->release->id) {
                $plans[] = $this->plan($order, $release);
            }
        }

        return $plans;
    }

    private function plan(HandOff $order, ?Release $release = null): ReleasePlan
    {
        return $this->releases->planOn($release ?? $order->release, $order->surface) ??
            throw new \LogicException('What was handed off is for the surface.');
    }
}

<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Act;

use Doctrine\DBAL\Connection;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\App\Repository\Acts;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Sites;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Forbidden;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Act\Act;
use UpperPane\Core\Act\Target;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Site\Thing;

/** Does something that players show at once, and clears it: written for them before the answer goes. */
final readonly class TakeAct
{
    public function __construct(
        private Acts $acts,
        private Sites $sites,
        private Surfaces $surfaces,
        private Players $players,
        private PublishActs $publish,
        private Connection $database,
        private ShiftedClock $clock,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /**
     * Sent again with the same id, it is done once.
     *
     * @return array<string, mixed>
     *
     * @throws Refusal            `act.target` where nothing is, `act.nobody`
     * @throws Absent|Forbidden
     * @throws Conflict           `request.id_taken`
     */
    public function __invoke(string $slug, Input $input, Person $person): array
    {
        $site = $this->gate->site($slug, $person);
        $act = Act::make($input, $this->clock->nowMs());
        foreach ($act->targets as $index => $target) {
            $this->demand($person, $act, $this->thing($site, $target, "/targets/$index"), $site);
        }
        if (array_filter($this->acts->players((int) $site->id), $act->aimsAt(...)) === []) {
            throw Refusal::because('act.nobody', '/targets');
        }
        $done = $this->database->transactional(function () use ($act, $site, $person): Act {
            $this->sites->lock($site);
            [$known, $of] = $this->acts->find($act->id) ?? [null, 0];
            if ($known !== null) {
                return $of === $site->id && $known->kind === $act->kind
                    ? $known
                    : throw Conflict::because('request.id_taken', ['id' => $act->id]);
            }
            $this->acts->add($act, $site, $person);
            $this->acts->renumber((int) $site->id, $act->fromMs);
            $this->recorder->record($person, "act.{$act->kind->value}", $act->id, [
                'targets' => array_column($act->targets, 'name'),
                'until_ms' => $act->untilMs,
            ]);

            return $act;
        });
        ($this->publish)((int) $site->id);

        return self::line($done, $person->name);
    }

    /**
     * Also a second time.
     *
     * @throws Absent|Forbidden
     */
    public function clear(string $id, Person $person): void
    {
        [$act, $of] = $this->acts->find($id) ?? throw Absent::named('act');
        $site = $this->sites->byId($of) ?? throw Absent::named('act');
        foreach ($act->targets as $target) {
            $this->demand($person, $act, $this->thing($site, $target, ''), $site);
        }
        $this->database->transactional(function () use ($act, $site, $person): void {
            $this->acts->clear($act->cleared($this->clock->nowMs()), $person);
            $this->acts->renumber((int) $site->id, $this->clock->nowMs());
            $this->recorder->record($person, 'act.clear', $act->id);
        });
        ($this->publish)((int) $site->id);
    }

    /** @return array<string, mixed> */
    public static function line(Act $act, string $by): array
    {
        return [
            'id' => $act->id,
            'kind' => $act->kind->value,
            'targets' => array_column($act->targets, 'name'),
            'from_ms' => $act->fromMs,
            'until_ms' => $act->endMs(),
            'until_cleared' => $act->untilCleared,
            'by' => $by,
        ];
    }

    /** @throws Absent|Forbidden */
    private function demand(Person $person, Act $act, Thing $thing, Site $site): void
    {
        $rights = $act->kind->rights();
        foreach ($rights as $right) {
            try {
                $this->gate->demandOn($person, $right, $site, $thing);

                return;
            } catch (Forbidden) {
            }
        }
        throw Forbidden::at($site->name, $rights[0]);
    }

    /** @throws Refusal `act.target` when it is not at the site */
    private function thing(Site $site, Target $target, string $path): Thing
    {
        $unknown = Refusal::because('act.target', $path, ['value' => $target->name]);
        $group = $target->id('group');
        if ($target->name === Thing::SITE) {
            return Thing::site();
        }
        if ($group !== null) {
            return Thing::group($group);
        }
        $player = $target->id('player');
        $surface = $player === null
            ? $this->surfaces->byCode((string) $target->id('surface'))
            : $this->players->byCode($player)?->surface;

        return $surface?->site === $site ? Gate::thing($surface) : throw $unknown;
    }
}

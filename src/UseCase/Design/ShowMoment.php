<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Document\Desks;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Handoff\Moment;
use UpperPane\Core\Time\CivilTime;

/** What a design shows at an instant, and why. */
final readonly class ShowMoment
{
    private const LATEST_MS = 4_102_444_800_000;

    public function __construct(private Desks $desks, private Planning $planning)
    {
    }

    /**
     * @param array<string, mixed> $asked `t_ms` after a start at midnight, or `at`, a civil date and time of the site,
     *     or `at_ms`, an instant; none: now
     *
     * @return array<string, mixed> with the plan and the dates to draw it by
     */
    public function at(string $id, array $asked, Person $person): array
    {
        [$loaded] = $this->desks->open($id, $person);
        $stand = $this->planning->stand($loaded);
        $plan = $this->planning->judge(Planning::design($loaded), $stand)->plan->toArray();
        $zone = new \DateTimeZone($stand->site->timeZone);
        $nowMs = $this->planning->nowMs();
        $input = Input::of($asked)->keys(['t_ms', 'at', 'at_ms']);
        $moment = match (true) {
            $input->has('t_ms') => Moment::after($plan, $zone, $nowMs, self::number($input->child('t_ms'))),
            $input->has('at') => Moment::at($plan, $zone, CivilTime::parse($input->child('at'))->instantMs($zone)),
            $input->has('at_ms') => Moment::at($plan, $zone, self::number($input->child('at_ms'))),
            default => Moment::at($plan, $zone, $nowMs),
        };

        return $moment->toArray() + ['plan' => $plan + ['dates' => $moment->dates()]];
    }

    /** @throws Refusal `moment.time` */
    private static function number(Input $typed): int
    {
        $text = $typed->asText(40);

        return ctype_digit($text) && strlen($text) < 14 && (int) $text <= self::LATEST_MS
            ? (int) $text
            : throw Refusal::because('moment.time', $typed->path, ['value' => $text]);
    }
}

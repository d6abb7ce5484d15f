<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\App\Job\Chore;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\Releases;
use UpperPane\App\Repository\Sealed;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\DesignReader;
use UpperPane\Core\Design\Upgrade;

/**
 * Gives releases that were made before inputs were sealed what can be known of them: the design as it was released, and
 * the rest as it is now, marked so. Their plans stay as they were sealed.
 */
final readonly class RebuildInputs implements Chore
{
    private const AT_ONCE = 20;

    public function __construct(
        private EntityManagerInterface $entities,
        private Releases $releases,
        private Documents $documents,
        private Planning $planning,
        private Sealed $sealed,
    ) {
    }

    public function everySeconds(): int
    {
        return 60;
    }

    public function run(): string
    {
        $plans = $this->releases->withoutInputs(self::AT_ONCE);
        foreach ($plans as $plan) {
            try {
                $this->rebuild($plan);
            } catch (Refusal|Absent) {
                // What cannot be read any more is as it was: only the design's revision tells what is newer.
                $plan->madeOf = [];
            }
            $plan->rebuilt = true;
        }
        $this->entities->flush();

        return $plans === [] ? '' : 'rebuilt the inputs of '.count($plans).' released plans';
    }

    /** @throws Refusal|Absent for a design or a sheet that cannot be read */
    private function rebuild(ReleasePlan $plan): void
    {
        $design = DesignReader::read(Input::of(Upgrade::whole($plan->release->document)));
        $loaded = $this->documents->load($plan->release->design->id) ?? throw Absent::named('design');
        $fromMs = is_int($plan->plan['from_ms'] ?? null) ? $plan->plan['from_ms'] : null;
        [, $inputs] = $this->planning->judgeOf($design, $this->planning->on($loaded, $plan->surface), $fromMs);
        $content = $inputs->toArray();
        $plan->inputs = CanonicalJson::sha256($content);
        $plan->madeOf = $inputs->sums();
        $this->sealed->keep(Sealed::INPUTS, $plan->inputs, $content);
    }
}

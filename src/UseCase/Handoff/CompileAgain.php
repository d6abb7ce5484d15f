<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use UpperPane\App\Adapter\Unwritten;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\App\Repository\Sealed;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Plan\Inputs\Inputs;
use UpperPane\Core\Plan\Plan;

/** The plan of a release, compiled once more from what was sealed with it, whatever became of that since. */
final readonly class CompileAgain
{
    public function __construct(private Sealed $sealed, private Planning $planning)
    {
    }

    /**
     * @throws Absent    for a release of before, whose inputs are not known yet
     * @throws Unwritten when they are not what was sealed any more
     * @throws Refusal   `inputs.face_gone`
     */
    public function __invoke(ReleasePlan $plan): Plan
    {
        $content = $this->sealed->kept($plan->inputs ?? throw Absent::named('inputs'))['content'];
        /** @var array<string, mixed> $sealed */
        $sealed = (array) json_decode($content, true);

        return Inputs::read($sealed)->plan($this->planning->fonts($plan->surface->site));
    }
}

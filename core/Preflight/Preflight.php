<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Rule\CutAway;
use UpperPane\Core\Preflight\Rule\EmptyPane;
use UpperPane\Core\Preflight\Rule\EmptyPlaylist;
use UpperPane\Core\Preflight\Rule\Enlarged;
use UpperPane\Core\Preflight\Rule\MissingFile;
use UpperPane\Core\Preflight\Rule\OnSeam;
use UpperPane\Core\Preflight\Rule\Stretched;
use UpperPane\Core\Preflight\Rule\TextApproximate;
use UpperPane\Core\Preflight\Rule\TextOverflows;
use UpperPane\Core\Preflight\Rule\VideoLongerThanSlot;

/** All rules over the zones of a plan. A *stop* among the findings blocks a release. */
final readonly class Preflight
{
    /** @param list<Rule> $rules */
    private function __construct(private array $rules)
    {
    }

    public static function standard(): self
    {
        return new self([
            new EmptyPane(), new EmptyPlaylist(), new MissingFile(), new Stretched(), new Enlarged(), new CutAway(),
            new VideoLongerThanSlot(), new TextOverflows(), new TextApproximate(), new OnSeam(),
        ]);
    }

    /**
     * @param list<ZonePlan> $zones
     *
     * @return list<Finding> in the order of the zones
     */
    public function check(array $zones): array
    {
        $findings = [];
        foreach ($zones as $zone) {
            foreach ($this->rules as $rule) {
                $findings = [...$findings, ...$rule->check($zone)];
            }
        }

        return $findings;
    }

    /** @param list<Finding> $findings */
    public static function blocks(array $findings): bool
    {
        return array_filter($findings, static fn (Finding $finding) => $finding->severity === Severity::Stop) !== [];
    }
}

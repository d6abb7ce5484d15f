<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\WebFill;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;
use UpperPane\Core\Web\WebState;

/** A page without an address, one that lets nobody show it, one that did not answer, one that players may not load. */
final class WebNotShown extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        if (!$item->fill instanceof WebFill || $item->page === null) {
            return null;
        }
        $address = $item->fill->address->text;
        $params = ['address' => $address, 'said' => $item->page->said];

        $hasStill = $item->fill->still !== null;
        [$code, $severity] = match (true) {
            $address === '' => ['web.nothing', self::ofNothing($zone)],
            $item->page->state === WebState::Refused => [
                'web.refuses_framing',
                $hasStill ? Severity::Caution : Severity::Stop,
            ],
            $item->page->state === WebState::Away => ['web.away', Severity::Caution],
            $item->page->state === WebState::Waiting => ['web.unseen', Severity::Note],
            str_starts_with(strtolower($address), 'http://') => ['web.plain', Severity::Caution],
            !$hasStill && !$item->fill->address->isShipped() => ['web.no_still', Severity::Note],
            default => ['', Severity::Note],
        };

        return $code === '' ? null : $this->finding($code, $severity, $zone, $item, $params);
    }
}

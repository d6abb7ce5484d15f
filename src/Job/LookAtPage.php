<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

use UpperPane\App\Adapter\PageLooker;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Repository\WebPages;
use UpperPane\Core\Web\Origin;
use UpperPane\Core\Web\WebFacts;
use UpperPane\Core\Web\WebState;

/** Reads a page's headers, so that nobody finds out from an empty zone that it lets itself not be shown. */
final readonly class LookAtPage implements Handler
{
    public const KIND = 'web.look';
    /** One that was just looked at is not looked at again: several workers may have asked. */
    private const JUST_MS = 60_000;

    public function __construct(private WebPages $pages, private PageLooker $looker)
    {
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function handle(array $payload): void
    {
        $row = $this->pages->row($payload['address']);
        if ($row !== null && $row['looked_ms'] < (new ShiftedClock())->nowMs() - self::JUST_MS) {
            $this->pages->found(
                $payload['address'],
                $this->looker->look($payload['address'], Origin::of($row['origin'])),
            );
        }
    }

    public function giveUp(array $payload, int $attempts): void
    {
        $this->pages->found($payload['address'], new WebFacts(WebState::Away));
    }
}

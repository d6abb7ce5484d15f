<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Web;

use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Job\Chore;
use UpperPane\App\Job\Lane;
use UpperPane\App\Job\LookAtPage;
use UpperPane\App\Job\Queue;
use UpperPane\App\Repository\WebPages;

/** Pages change their minds: each is asked again after an hour. */
final readonly class LookAgain implements Chore
{
    private const EVERY_S = 300;
    private const AFTER_MS = 3_600_000;
    private const MOST = 50;

    public function __construct(private WebPages $pages, private Queue $queue)
    {
    }

    public function everySeconds(): int
    {
        return self::EVERY_S;
    }

    public function run(): string
    {
        $old = $this->pages->lookedBefore((new ShiftedClock())->nowMs() - self::AFTER_MS, self::MOST);
        foreach ($old as $address) {
            $this->queue->add(LookAtPage::KIND, ['address' => $address], Lane::Long);
        }

        return $old === [] ? '' : 'pages asked again: '.count($old);
    }
}

<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use UpperPane\App\Job\Chore;
use UpperPane\App\Job\MakeVariant;
use UpperPane\App\Job\Queue;
use UpperPane\App\Repository\Variants;

/** Pictures that plans asked for since, for the worker to make. */
final readonly class OrderVariants implements Chore
{
    private const EVERY_S = 3;
    private const MOST = 50;

    public function __construct(private Variants $variants, private Queue $queue)
    {
    }

    public function everySeconds(): int
    {
        return self::EVERY_S;
    }

    public function run(): string
    {
        $count = $this->variants->order(
            self::MOST,
            fn (array $wanted) => $this->queue->add(MakeVariant::KIND, $wanted),
        );

        return $count === 0 ? '' : "pictures to be made smaller: $count";
    }
}

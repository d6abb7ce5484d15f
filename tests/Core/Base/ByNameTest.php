<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Base;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\ByName;

final class ByNameTest extends TestCase
{
    public function testANameIsTakenOnce(): void
    {
        self::assertSame(['a' => 'axe', 'b' => 'bow'], ByName::each(['axe', 'bow'], static fn ($word) => $word[0]));
        $this->expectExceptionMessage('“a”');
        ByName::each(['axe', 'awl'], static fn ($word) => $word[0]);
    }
}

<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Base;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Json;
use UpperPane\Core\Base\Refusal;

/** Names within an object should be unique (RFC 8259 §4); here they must be, in each object for itself. */
final class JsonTest extends TestCase
{
    #[TestWith(['{"b":1,"a":{"b":2,"c":{"b":3}},"c":[{"b":4},{"b":5}]}'])]
    #[TestWith(['{"a":["a","a",{"a":"a"}],"b":"{\"b\":1,\"b\":2}"}'])]
    public function testAKeyMayComeAgainInAnotherObject(string $text): void
    {
        self::assertEquals(json_decode($text, true), Json::decode($text)->raw());
    }

    #[TestWith(['{"a":1,"a":2}'])]
    #[TestWith(['{"x":{"a":1,"b":[{}],"a":2}}'])]
    #[TestWith(['{"a":1,"x":{"b":1},"y":[{"b":1}],"a":2}'])]
    #[TestWith(['{"a":1,"\u0061":2}'])]
    #[TestWith(['[{"a":1},{"a":1,"a":1}]'])]
    public function testRefusesAKeyThatAnObjectHasTwice(string $text): void
    {
        try {
            Json::decode($text);
            self::fail('went through');
        } catch (Refusal $refusal) {
            self::assertSame(['input.key_twice', 'a'], [$refusal->refusalCode, $refusal->params['key']]);
        }
    }
}

<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Site;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Site\PairingCode;

final class PairingCodeTest extends TestCase
{
    /** Each of 32 signs from exactly 8 of the 256 bytes, none of them read for another. */
    public function testEverySignIsEquallyLikely(): void
    {
        $signs = '';
        foreach (str_split(implode('', array_map(chr(...), range(0, 255))), 4) as $four) {
            $signs .= substr(PairingCode::ofBytes($four.'  ')->signs, 0, 4);
        }
        $counts = count_chars($signs, 1);

        self::assertSame([32, [8]], [\count($counts), array_values(array_unique($counts))]);
        self::assertDoesNotMatchRegularExpression('/[01IO]/', $signs);
    }

    #[TestWith(['K7MQX4'])]
    #[TestWith(['k7m qx4'])]
    #[TestWith([' K7M-QX4 '])]
    public function testIsReadAsPeopleTypeIt(string $typed): void
    {
        self::assertSame('K7MQX4', PairingCode::parse(Input::of($typed))->signs);
    }

    #[TestWith([''])]
    #[TestWith(['K7MQX'])]
    #[TestWith(['K7MQX44'])]
    #[TestWith(['K7MQX1'])]
    #[TestWith(['K7MQXÄ'])]
    public function testWhatIsNoneIsRefused(string $typed): void
    {
        try {
            PairingCode::parse(Input::of($typed, '/pairing_code'));
            self::fail('taken');
        } catch (Refusal $refusal) {
            self::assertSame(['pairing.form', '/pairing_code'], [$refusal->refusalCode, $refusal->path]);
        }
    }
}
